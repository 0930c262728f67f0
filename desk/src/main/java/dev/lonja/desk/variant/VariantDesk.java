package dev.lonja.desk.variant;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Engine;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Power;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fleet.VariantRepository;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.store.fleet.VariantTasks.StoredTask;
import dev.lonja.store.service.DeviationRepository;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/**
 * Models and variants: what there is, new ones and copies. What each is made of is {@link
 * MakeUpDesk}'s.
 */
@Service
@Allowed.ToSeeStore
public class VariantDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public VariantDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** What a variant is called and driven by; the name may be empty if its model has no other. */
  public record Name(String make, String model, String name, Engine engine) {

    /** One of whose engine nothing is noted. */
    public Name(String make, String model, String name) {
      this(make, model, name, Engine.UNKNOWN);
    }

    VariantRepository.Named named() {
      return new VariantRepository.Named(make, model, name, engine);
    }

    boolean isOf(Variant variant) {
      return variant.make().equals(make)
          && variant.model().equals(model)
          && variant.name().equals(name);
    }

    Facts facts() {
      Facts facts = Facts.of("make", make).with("model", model).with("variant", name);
      return engine.equals(Engine.UNKNOWN)
          ? facts
          : facts
              .with("engine", engine.code())
              .with("power", engine.power().map(Power::exactText).orElse(""));
    }
  }

  /**
   * A variant with all that its machines are made of.
   *
   * @param items that it prefers
   * @param shared numbers among these that several makes use
   * @param absences what machines of it turned out not to have
   */
  public record VariantFile(
      StoredVariant stored,
      UnitNeeds needs,
      List<StoredTask> tasks,
      Map<ItemId, Item> items,
      Set<ItemId> shared,
      List<DeviationRepository.Absence> absences) {}

  public List<StoredVariant> all() {
    return store.read(session -> session.variants().all());
  }

  /** Empty for an unknown variant. */
  @KeptAnswer
  public Optional<VariantFile> file(long id) {
    return store.read(session -> session.variants().byId(id).map(stored -> file(session, stored)));
  }

  private VariantFile file(Session session, StoredVariant stored) {
    long id = stored.variant().id();
    UnitNeeds needs = needs(session, id);
    Map<ItemId, Item> items =
        session
            .items()
            .byIds(
                Stream.concat(
                        needs.compartments().stream().flatMap(VariantDesk::fluids),
                        needs.positions().stream().flatMap(p -> p.itemId().stream()))
                    .collect(Collectors.toSet()));
    Set<ItemId> shared = session.items().sharingTheirNumber(items.values());
    return new VariantFile(
        stored,
        needs,
        session.variants().tasks().of(id),
        items,
        shared,
        session.deviations().absences(id));
  }

  /** What goes into a compartment, and what it is flushed with. */
  private static Stream<ItemId> fluids(Compartment compartment) {
    return Stream.concat(
        compartment.itemId().stream(),
        compartment.filling().flush().map(Filling.Flush::itemId).stream());
  }

  /**
   * Adds a variant; answers its number.
   *
   * @param like the variant to copy; empty for a bare one
   */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, Optional<Long> like, Name name) {
    return once.run(
        sent,
        session -> {
          VariantAdding adding = new VariantAdding(session, clock, sent);
          List<VariantRefusal> refusals = adding.refusals(like, name);
          return refusals.isEmpty()
              ? Outcome.done(adding.add(like, name))
              : new Outcome.Refused(refusals);
        });
  }

  private UnitNeeds needs(Session session, long variant) {
    return FleetPicture.load(session, clock.today()).variants().get(variant);
  }

  @Allowed.ToKeepStore
  public Outcome rename(Sent sent, long id, long version, Name name) {
    return once.run(
        sent,
        session -> {
          StoredVariant stored = session.variants().byId(id).orElseThrow();
          Optional<VariantRefusal> taken = VariantAdding.taken(session, Optional.of(id), name);
          if (taken.isPresent()) {
            return Outcome.refused(taken.get());
          }
          if (!session.variants().rename(id, version, name.named())) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          audit(session, sent, id, Deed.RENAMED, facts(stored.variant()), name.facts());
          return Outcome.done();
        });
  }

  /** Deletes a variant; refused while units are made like it. */
  @Allowed.ToKeepStore
  public Outcome delete(Sent sent, long id) {
    return once.run(
        sent,
        session -> {
          StoredVariant stored = session.variants().byId(id).orElseThrow();
          if (!stored.units().isEmpty()) {
            return Outcome.refused(new VariantRefusal.MadeLike(stored));
          }
          session.variants().delete(id);
          audit(session, sent, id, Deed.DELETED, facts(stored.variant()), Facts.NONE);
          return Outcome.done();
        });
  }

  private static Facts facts(Variant variant) {
    return new Name(variant.make(), variant.model(), variant.name(), variant.engine()).facts();
  }

  private void audit(Session session, Sent sent, long id, Deed deed, Facts before, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.VARIANT, id, deed, before, after));
  }
}
