package dev.lonja.store;

import dev.lonja.core.crossref.RubberTable;
import dev.lonja.core.fluid.FluidReference;
import dev.lonja.core.fluid.Labels;
import dev.lonja.core.grade.Climate;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.mixture.MixPolicy;
import dev.lonja.core.policy.Policies;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.count.CountRepository;
import dev.lonja.store.count.StocktakeRepository;
import dev.lonja.store.crossref.RubberRepository;
import dev.lonja.store.crossref.StatementRepository;
import dev.lonja.store.exchange.Exchange;
import dev.lonja.store.fleet.ClassRepository;
import dev.lonja.store.fleet.FleetRepository;
import dev.lonja.store.fleet.ItemUsers;
import dev.lonja.store.fleet.MeterDigests;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.fleet.ShelfQueries;
import dev.lonja.store.fleet.VariantRepository;
import dev.lonja.store.fluid.ClimateRepository;
import dev.lonja.store.fluid.DataSheetRepository;
import dev.lonja.store.fluid.PourRepository;
import dev.lonja.store.fluid.ProductRepository;
import dev.lonja.store.fluid.SpecRepository;
import dev.lonja.store.fluid.StudyRepository;
import dev.lonja.store.forecast.KeptForecastRepository;
import dev.lonja.store.item.ItemRepository;
import dev.lonja.store.item.KeepingRepository;
import dev.lonja.store.ledger.BinContents;
import dev.lonja.store.ledger.JobCosts;
import dev.lonja.store.ledger.LedgerRepository;
import dev.lonja.store.ledger.LotRepository;
import dev.lonja.store.ledger.PastMovements;
import dev.lonja.store.ledger.PlaceStockRepository;
import dev.lonja.store.ledger.QuoteRepository;
import dev.lonja.store.ledger.StockList;
import dev.lonja.store.ledger.UnplannedIssues;
import dev.lonja.store.order.ClaimRepository;
import dev.lonja.store.order.InvoiceRepository;
import dev.lonja.store.order.MailRepository;
import dev.lonja.store.order.OrderRepository;
import dev.lonja.store.part.BoxRepository;
import dev.lonja.store.part.KitRangeRepository;
import dev.lonja.store.part.PartRepository;
import dev.lonja.store.person.DeviceRepository;
import dev.lonja.store.person.PersonRepository;
import dev.lonja.store.place.BinRepository;
import dev.lonja.store.place.PlaceRepository;
import dev.lonja.store.place.TransferRepository;
import dev.lonja.store.policy.PolicyRepository;
import dev.lonja.store.reference.ReferenceRepository;
import dev.lonja.store.replay.PastRepository;
import dev.lonja.store.request.RequestLog;
import dev.lonja.store.service.DeviationRepository;
import dev.lonja.store.service.ReceiptRepository;
import dev.lonja.store.service.RecordRepository;
import dev.lonja.store.service.ServiceRepository;
import dev.lonja.store.service.WorkLog;
import dev.lonja.store.setting.SettingRepository;
import dev.lonja.store.supplier.SupplierRepository;
import dev.lonja.store.supplier.SupplyRepository;
import dev.lonja.store.tank.DispenserRepository;
import dev.lonja.store.tank.TankRepository;
import dev.lonja.store.tray.TrayLineRepository;
import dev.lonja.store.tray.TrayRepository;
import dev.lonja.store.tray.TrayTaskRepository;
import dev.lonja.store.verification.Verification;
import dev.lonja.store.wanted.FindingRepository;
import dev.lonja.store.wanted.WantedRepository;
import dev.lonja.store.waste.CertificateRepository;
import dev.lonja.store.waste.WasteRepository;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.OptionalLong;
import java.util.function.BiFunction;
import java.util.function.Supplier;
import org.jooq.DSLContext;

/** The repositories within one read or one transaction; not to be kept beyond it. */
public final class Session {

  private final DSLContext context;
  private final Memory memory;
  private final OptionalLong seen;
  private final SettingRepository settings;
  private final Map<Class<?>, Object> made = new HashMap<>();
  private long rowsWhenMade;

  /**
   * @param seen how many writes are surely seen; empty within a transaction that writes, since what
   *     it sees may still be undone
   */
  Session(DSLContext context, Memory memory, OptionalLong seen) {
    this.context = context;
    this.memory = memory;
    this.seen = seen;
    this.settings =
        new SettingRepository(
            context,
            () ->
                whileCommonStays(
                    SettingRepository.Values.class, () -> SettingRepository.read(context)));
  }

  /**
   * The one value of its kind that is made of the fleet's data, kept while the store is open and
   * brought up to date by what has been written.
   *
   * @param anew makes it of all data
   * @param rework makes it of an earlier one and what was touched since
   */
  public <T> T kept(Class<T> kind, Supplier<T> anew, BiFunction<T, Touched, T> rework) {
    return seen.isPresent()
        ? memory.read(kind, seen.getAsLong(), anew, rework)
        : withinWrite(kind, () -> memory.within(kind, TouchLog.read(context), anew, rework));
  }

  /** What is made of common data only, the same for every unit. */
  private <T> T whileCommonStays(Class<T> kind, Supplier<T> work) {
    return kept(kind, work, (known, touched) -> touched.common() ? work.get() : known);
  }

  /** What verdicts on fluids rest on, as this store has it. */
  public FluidReference fluidReference() {
    return whileCommonStays(FluidReference.class, () -> references().fluids());
  }

  /** The labels of all products, in order of make and name, read against these. */
  public Labels labels() {
    return whileCommonStays(Labels.class, () -> Labels.of(fluidReference(), products().all()));
  }

  /** Which rubber stands which fluid, as this store has it. */
  public RubberTable rubberTable() {
    return whileCommonStays(RubberTable.class, () -> rubbers().table());
  }

  /** A transaction that writes may ask again and again; it is answered anew once it has written. */
  private <T> T withinWrite(Class<T> kind, Supplier<T> work) {
    long rows = TouchLog.rowsWritten(context);
    if (rows != rowsWhenMade) {
      made.clear();
      rowsWhenMade = rows;
    }
    // one value may be made of another, so no computeIfAbsent
    if (!made.containsKey(kind)) {
      made.put(kind, work.get());
    }
    return kind.cast(made.get(kind));
  }

  public FleetRepository fleet() {
    return new FleetRepository(context);
  }

  public ItemUsers itemUsers() {
    return new ItemUsers(context);
  }

  /** What the store knows of the things that machines take. */
  public ShelfFacts shelf() {
    return ShelfQueries.read(
        context,
        settings().fillPolicy(),
        fluidReference().freezing(),
        new MixPolicy(
            settings().coolantShare(),
            climate()
                .stated()
                .flatMap(
                    year ->
                        year.months().stream()
                            .map(Climate.MonthRange::lowest)
                            .min(Comparator.naturalOrder()))));
  }

  public ClassRepository classes() {
    return new ClassRepository(context);
  }

  public VariantRepository variants() {
    return new VariantRepository(context);
  }

  public MeterDigests meterDigests() {
    return new MeterDigests(context, memory.digests(), seen.isPresent());
  }

  public ReadingRepository readings() {
    return new ReadingRepository(context);
  }

  public ServiceRepository services() {
    return new ServiceRepository(context);
  }

  public WorkLog workLog() {
    return new WorkLog(context);
  }

  public ReceiptRepository receipts() {
    return new ReceiptRepository(context);
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

  public SupplierRepository suppliers() {
    return new SupplierRepository(context, settings().currency());
  }

  public SupplyRepository supplies() {
    return new SupplyRepository(context, settings().currency());
  }

  public OrderRepository orders() {
    return new OrderRepository(context, settings().currency());
  }

  public MailRepository mail() {
    return new MailRepository(context);
  }

  public BinContents binContents() {
    return new BinContents(context);
  }

  public PastMovements pastMovements() {
    return new PastMovements(context, settings().currency());
  }

  public InvoiceRepository invoices() {
    return new InvoiceRepository(context, settings().currency());
  }

  public ClaimRepository claims() {
    return new ClaimRepository(context);
  }

  public PartRepository parts() {
    return new PartRepository(context);
  }

  public BoxRepository boxes() {
    return new BoxRepository(context);
  }

  public KitRangeRepository kitRanges() {
    return new KitRangeRepository(context);
  }

  public KeptForecastRepository keptForecasts() {
    return new KeptForecastRepository(context);
  }

  public PastRepository past() {
    return new PastRepository(context, settings().timeZone(), settings().currency());
  }

  public UnplannedIssues unplanned() {
    return new UnplannedIssues(context, settings().timeZone());
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

  public DataSheetRepository dataSheets() {
    return new DataSheetRepository(context);
  }

  public QuoteRepository quotes() {
    return new QuoteRepository(context, settings().currency());
  }

  public JobCosts jobCosts() {
    return new JobCosts(context, settings().currency());
  }

  public TankRepository tanks() {
    return new TankRepository(context);
  }

  public WasteRepository waste() {
    return new WasteRepository(context);
  }

  public CountRepository counts() {
    return new CountRepository(context, settings().currency());
  }

  public StocktakeRepository stocktakes() {
    return new StocktakeRepository(context);
  }

  public StockList stockList() {
    return new StockList(context, settings().currency());
  }

  public PlaceRepository places() {
    return new PlaceRepository(context, settings::storeName);
  }

  public PlaceStockRepository placeStock() {
    return new PlaceStockRepository(context, ledger(), places());
  }

  public TransferRepository transfers() {
    return new TransferRepository(context);
  }

  public CertificateRepository certificates() {
    return new CertificateRepository(context);
  }

  public BinRepository bins() {
    return new BinRepository(context);
  }

  public DispenserRepository dispensers() {
    return new DispenserRepository(context);
  }

  public LotRepository lots() {
    return new LotRepository(context);
  }

  public TrayRepository trays() {
    return new TrayRepository(context);
  }

  public TrayLineRepository trayLines() {
    return new TrayLineRepository(context);
  }

  public TrayTaskRepository trayTasks() {
    return new TrayTaskRepository(context);
  }

  public FindingRepository findings() {
    return new FindingRepository(context);
  }

  public WantedRepository wanted() {
    return new WantedRepository(context);
  }

  public PersonRepository people() {
    return new PersonRepository(context);
  }

  public SettingRepository settings() {
    return settings;
  }

  public PolicyRepository policies() {
    return new PolicyRepository(
        context, () -> whileCommonStays(Policies.class, () -> PolicyRepository.read(context)));
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

  public DeviceRepository devices() {
    return new DeviceRepository(context);
  }

  public AuditLog audit() {
    return new AuditLog(context);
  }
}
