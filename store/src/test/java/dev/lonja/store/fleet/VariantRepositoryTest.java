package dev.lonja.store.fleet;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.cost.Quote;
import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Engine;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Power;
import dev.lonja.core.service.TaskId;
import dev.lonja.store.ExampleStore;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.store.fleet.VariantTasks.StoredTask;
import dev.lonja.store.ledger.QuoteRepository;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Variants on a real file with the example store; variant 1 is the workboat with two engines. */
class VariantRepositoryTest {

  private static final long BOAT = 1;
  private static final CompartmentId PORT_SUMP = new CompartmentId(1);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private <T> T write(Function<Session, T> work) {
    return store.write(work);
  }

  private StoredVariant variant(long id) {
    return store.<Optional<StoredVariant>>read(s -> s.variants().byId(id)).orElseThrow();
  }

  private UnitNeeds needs(long id) {
    return store
        .<Map<Long, UnitNeeds>>read(s -> s.fleet().needs(ShelfFacts.NONE))
        .getOrDefault(id, new UnitNeeds(List.of(), List.of()));
  }

  private List<StoredTask> tasks(long id) {
    return store.read(s -> s.variants().tasks().of(id));
  }

  /** Read alone it is as in the list: its units, retired ones too, and the meters they have. */
  private static VariantRepository.Named named(String make, String model, String name) {
    return new VariantRepository.Named(
        make, model, name, new Engine("V 9", Optional.of(new Power(88_000))));
  }

  @Test
  void aVariantKnowsItsUnitsAndTheirMeters() {
    StoredVariant boat = variant(BOAT);
    assertThat(store.<List<StoredVariant>>read(s -> s.variants().all())).contains(boat);
    assertThat(boat.variant().display()).isEqualTo("Veldmark Twin 9");
    assertThat(boat.units()).contains("WB-1");
    assertThat(boat.meters()).isEqualTo(Map.of("port", "h", "starboard", "h"));
  }

  /** A second variant of a model that is there; renamed it takes its model along only if new. */
  @Test
  void aVariantIsAddedRenamedAndDeleted() {
    long id = write(s -> s.variants().add(named("Veldmark", "Twin 9", "lifting keel")));
    assertThat(variant(id).units()).isEmpty();
    assertThat(variant(id).meters()).isEmpty();
    assertThat(needs(id).compartments()).isEmpty();
    assertThat(
            this.<Boolean>write(s -> s.variants().rename(id, 0, named("Veldmark", "Twin 11", ""))))
        .isTrue();
    assertThat(
            this.<Boolean>write(s -> s.variants().rename(id, 0, named("Veldmark", "Twin 12", ""))))
        .isFalse();
    assertThat(variant(id).variant().display()).isEqualTo("Veldmark Twin 11");
    assertThat(variant(id).variant().engine())
        .isEqualTo(new Engine("V 9", Optional.of(new Power(88_000))));
    assertThat(variant(BOAT).variant().engine()).isEqualTo(Engine.UNKNOWN);
    assertThat(variant(BOAT).variant().display()).isEqualTo("Veldmark Twin 9");
    write(
        s -> {
          s.variants().delete(id);
          return true;
        });
    assertThat(store.<Optional<StoredVariant>>read(s -> s.variants().byId(id))).isEmpty();
  }

  @Test
  void anEditCountsTheVersionUpAndAnOldOneIsRefused() {
    assertThat(this.<Boolean>write(s -> s.variants().touch(BOAT, 0))).isTrue();
    assertThat(this.<Boolean>write(s -> s.variants().touch(BOAT, 0))).isFalse();
    assertThat(variant(BOAT).version()).isEqualTo(1);
  }

  /** A compartment of a new number, then the same with another capacity in place of the first. */
  @Test
  void aCompartmentIsSavedOverWhatItWas() {
    CompartmentId id =
        write(
            s -> {
              CompartmentId next = s.variants().nextCompartment();
              s.variants().save(BOAT, compartment(next, "Trim pump", "0.8"));
              return next;
            });
    write(
        s -> {
          s.variants().save(BOAT, compartment(id, "Trim pump", "0.9"));
          return true;
        });
    Compartment saved = needs(BOAT).compartment(id);
    assertThat(saved.name()).isEqualTo("Trim pump");
    assertThat(saved.capacities())
        .isEqualTo(Map.of(FillCondition.WITHOUT_FILTER, Capacity.ofLitres("0.9")));
    assertThat(saved.itemId()).contains(new ItemId(5));
  }

  private static Compartment compartment(CompartmentId id, String name, String litres) {
    return new Compartment(
        id,
        name,
        Compartment.Kind.GEARBOX,
        Spec.ofKind(FluidKind.GEAR_OIL),
        Optional.of(new ItemId(5)),
        Map.of(FillCondition.WITHOUT_FILTER, Capacity.ofLitres(litres)),
        Filling.UNSAID,
        "",
        Optional.empty());
  }

  /** The port sump has positions and a task; a loose compartment of its own has nothing. */
  @Test
  void whatRefersToACompartmentIsCounted() {
    List<Use> uses = store.read(s -> s.variants().usesOfCompartment(PORT_SUMP));
    assertThat(uses).extracting(Use::kind).contains(Use.Kind.POSITIONS, Use.Kind.TASKS);
    CompartmentId loose =
        write(
            s -> {
              CompartmentId next = s.variants().nextCompartment();
              s.variants().save(BOAT, compartment(next, "Loose", "1"));
              return next;
            });
    assertThat(store.<List<Use>>read(s -> s.variants().usesOfCompartment(loose))).isEmpty();
    write(
        s -> {
          s.variants().deleteCompartment(loose);
          return true;
        });
    assertThat(needs(BOAT).compartments()).extracting(Compartment::name).doesNotContain("Loose");
  }

  /** Position 1, the port oil filter, is replaced by task 2. */
  @Test
  void whatRefersToAPositionAndATaskIsCounted() {
    assertThat(store.<List<Use>>read(s -> s.variants().usesOfPosition(new PositionId(1))))
        .contains(new Use(Use.Kind.TASKS, 1));
    assertThat(store.<List<Use>>read(s -> s.variants().tasks().usesOf(new TaskId(1))))
        .extracting(Use::kind)
        .contains(Use.Kind.RECORDS);
  }

  /** Saved as it was read, a task is the same; with its interval changed only that is. */
  @Test
  void aTaskIsSavedAsItIs() {
    List<StoredTask> before = tasks(BOAT);
    write(
        s -> {
          before.forEach(task -> s.variants().tasks().save(BOAT, task));
          return true;
        });
    assertThat(tasks(BOAT)).isEqualTo(before);
  }

  /** Its only task under another name: the service is called so now, and its quote stays. */
  @Test
  void aServiceThatIsRenamedKeepsItsQuote() {
    long copy = write(s -> s.variants().add(named("Veldmark", "Twin 9", "quoted")));
    StoredTask task =
        tasks(BOAT).stream().filter(t -> t.lead().isEmpty()).findFirst().orElseThrow();
    TaskId id = this.<TaskId>write(s -> s.variants().tasks().next());
    write(
        s -> {
          s.variants().tasks().save(copy, under("Spring work", id, task));
          long service = s.quotes().of(copy).get(0).id();
          s.quotes().quote(service, Optional.of(QUOTE));
          s.variants().tasks().save(copy, under("Season work", id, task));
          return true;
        });
    List<QuoteRepository.QuotedService> services = store.read(s -> s.quotes().of(copy));
    assertThat(services).hasSize(1);
    assertThat(services.get(0).name()).isEqualTo("Season work");
    assertThat(services.get(0).quote()).contains(QUOTE);
  }

  private static final Quote QUOTE =
      new Quote(
          new Money(18_000, Currency.getInstance("EUR")), "Yard", LocalDate.parse("2027-03-01"));

  private static StoredTask under(String service, TaskId id, StoredTask like) {
    return new StoredTask(
        id,
        service,
        like.name(),
        like.action(),
        like.compartment(),
        like.position(),
        like.limits(),
        like.meter(),
        like.interval(),
        like.first(),
        like.severity(),
        like.severityReason(),
        like.lead(),
        like.nth(),
        like.season(),
        like.layUp(),
        like.leadDays(),
        like.byFluid(),
        like.steps(),
        like.hazards());
  }

  /** A copy has the same tasks on its own compartments and positions. */
  @Test
  void theTasksOfACopyPointIntoTheCopy() {
    UnitNeeds original = needs(BOAT);
    long copy = write(s -> s.variants().add(named("Veldmark", "Twin 9", "copy")));
    write(
        s -> {
          Map<CompartmentId, CompartmentId> compartments = new java.util.HashMap<>();
          Map<PositionId, PositionId> positions = new java.util.HashMap<>();
          original
              .compartments()
              .forEach(
                  c -> {
                    Compartment made = c.copy(s.variants().nextCompartment());
                    s.variants().save(copy, made);
                    compartments.put(c.id(), made.id());
                  });
          original
              .positions()
              .forEach(
                  p -> {
                    PositionId next = s.variants().nextPosition();
                    s.variants().save(copy, p.copy(next, p.compartmentId().map(compartments::get)));
                    positions.put(p.id(), next);
                  });
          s.variants().tasks().copy(BOAT, copy, compartments, positions);
          return true;
        });
    List<StoredTask> copied = tasks(copy);
    assertThat(copied).extracting(StoredTask::name).isEqualTo(names(tasks(BOAT)));
    UnitNeeds own = needs(copy);
    assertThat(copied)
        .allSatisfy(
            task -> {
              task.compartment().ifPresent(id -> assertThat(own.compartment(id)).isNotNull());
              task.position().ifPresent(id -> assertThat(own.position(id)).isNotNull());
            });
  }

  private static List<String> names(List<StoredTask> tasks) {
    return tasks.stream().map(StoredTask::name).toList();
  }
}
