package dev.lonja.store;

import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.crossref.RubberRepository;
import dev.lonja.store.crossref.StatementRepository;
import dev.lonja.store.exchange.Exchange;
import dev.lonja.store.exchange.Verification;
import dev.lonja.store.fleet.ClassRepository;
import dev.lonja.store.fleet.FleetRepository;
import dev.lonja.store.fleet.MeterDigests;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.fleet.VariantRepository;
import dev.lonja.store.fluid.ClimateRepository;
import dev.lonja.store.fluid.PourRepository;
import dev.lonja.store.fluid.ProductRepository;
import dev.lonja.store.fluid.SpecRepository;
import dev.lonja.store.fluid.StudyRepository;
import dev.lonja.store.item.ItemRepository;
import dev.lonja.store.item.KeepingRepository;
import dev.lonja.store.ledger.LedgerRepository;
import dev.lonja.store.part.BoxRepository;
import dev.lonja.store.part.PartRepository;
import dev.lonja.store.person.PersonRepository;
import dev.lonja.store.reference.ReferenceRepository;
import dev.lonja.store.request.RequestLog;
import dev.lonja.store.service.DeviationRepository;
import dev.lonja.store.service.RecordRepository;
import dev.lonja.store.service.ServiceRepository;
import dev.lonja.store.setting.SettingRepository;
import dev.lonja.store.tray.TrayRepository;
import java.util.Optional;
import java.util.function.Supplier;
import org.jooq.DSLContext;

/** The repositories within one read or one transaction; not to be kept beyond it. */
public final class Session {

  private final DSLContext context;
  private final Memory memory;
  private final Optional<Memory.State> state;

  /**
   * @param state of the data before they were looked at; empty within a transaction that writes,
   *     since what it sees may still be undone
   */
  Session(DSLContext context, Memory memory, Optional<Memory.State> state) {
    this.context = context;
    this.memory = memory;
    this.state = state;
  }

  /**
   * What {@code work} makes of the data, remembered as long as they stay as they are.
   *
   * @param key what else the value depends on
   */
  public <T> T remembered(Class<T> kind, Object key, Supplier<T> work) {
    return state.map(s -> memory.remembered(s, kind, key, work)).orElseGet(work);
  }

  public FleetRepository fleet() {
    return new FleetRepository(context);
  }

  public ClassRepository classes() {
    return new ClassRepository(context);
  }

  public VariantRepository variants() {
    return new VariantRepository(context);
  }

  public MeterDigests meterDigests() {
    return new MeterDigests(context, memory.meters(), state.isPresent());
  }

  public ReadingRepository readings() {
    return new ReadingRepository(context);
  }

  public ServiceRepository services() {
    return new ServiceRepository(context);
  }

  public RecordRepository records() {
    return new RecordRepository(context);
  }

  public DeviationRepository deviations() {
    return new DeviationRepository(context);
  }

  public ItemRepository items() {
    return new ItemRepository(context);
  }

  public KeepingRepository keeping() {
    return new KeepingRepository(context);
  }

  public PartRepository parts() {
    return new PartRepository(context);
  }

  public BoxRepository boxes() {
    return new BoxRepository(context);
  }

  public StatementRepository statements() {
    return new StatementRepository(context);
  }

  public RubberRepository rubbers() {
    return new RubberRepository(context);
  }

  public ProductRepository products() {
    return new ProductRepository(context);
  }

  public SpecRepository specs() {
    return new SpecRepository(context);
  }

  public ClimateRepository climate() {
    return new ClimateRepository(context);
  }

  public PourRepository pours() {
    return new PourRepository(context);
  }

  public StudyRepository studies() {
    return new StudyRepository(context, settings().currency());
  }

  public ReferenceRepository references() {
    return new ReferenceRepository(context);
  }

  public LedgerRepository ledger() {
    return new LedgerRepository(context, settings().currency());
  }

  public TrayRepository trays() {
    return new TrayRepository(context);
  }

  public PersonRepository people() {
    return new PersonRepository(context);
  }

  public SettingRepository settings() {
    return new SettingRepository(context);
  }

  public RequestLog requests() {
    return new RequestLog(context);
  }

  public Exchange exchange() {
    return new Exchange(context);
  }

  public Verification verification() {
    return new Verification(context);
  }

  public AuditLog audit() {
    return new AuditLog(context);
  }
}
