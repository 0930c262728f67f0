package dev.lonja.store.fluid;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.ExampleStore;
import dev.lonja.store.fluid.StudyRepository.ChangeOver;
import dev.lonja.store.fluid.StudyRepository.KeptStudy;
import dev.lonja.store.fluid.StudyRepository.Line;
import dev.lonja.store.fluid.StudyRepository.Study;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Studies and change-overs on a real file with the example store. */
class StudyRepositoryTest {

  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");
  private static final Currency EUR = Currency.getInstance("EUR");
  private static final ProductId OLA = new ProductId(1);
  private static final ProductId VERDE = new ProductId(2);
  private static final CompartmentId PORT_SUMP = new CompartmentId(1);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  /** Costs 310 instead of 400 a year; unit 1 alone forces Ola. */
  private static Study study() {
    return new Study(
        "Fewer drums",
        LocalDate.parse("2027-03-15"),
        Level.MEETS,
        new Money(4_000, EUR),
        List.of(VERDE),
        List.of(),
        List.of(OLA),
        List.of(
            new Line(PORT_SUMP, Volume.ofLitres("28.4"), Optional.of(OLA), Optional.of(OLA)),
            new Line(
                new CompartmentId(2), Volume.ofLitres("2.4"), Optional.empty(), Optional.empty())),
        Map.of(new UnitId(1), List.of(OLA)),
        new Money(31_000, EUR),
        new Money(40_000, EUR),
        "storekeeper");
  }

  /** What is read is what was kept, every list in its order. */
  @Test
  void aStudyIsReadAsItWasKept() {
    long id = store.<Long>write(session -> session.studies().add(study(), NOW));
    KeptStudy kept =
        store.<Optional<KeptStudy>>read(session -> session.studies().byId(id)).orElseThrow();
    assertThat(kept.study()).isEqualTo(study());
    assertThat(kept.study().saving()).isEqualTo(new Money(9_000, EUR));
    assertThat(store.<List<KeptStudy>>read(session -> session.studies().all()))
        .containsExactly(kept);
    assertThat(store.<Optional<KeptStudy>>read(session -> session.studies().byId(id + 1)))
        .isEmpty();
  }

  /** A compartment changes over once; a later wish takes the place of the first. */
  @Test
  void aCompartmentHasOneChangeOver() {
    long id = store.<Long>write(session -> session.studies().add(study(), NOW));
    ChangeOver april = new ChangeOver(PORT_SUMP, new ItemId(3), LocalDate.parse("2027-04-01"), id);
    ChangeOver may = new ChangeOver(PORT_SUMP, new ItemId(4), LocalDate.parse("2027-05-01"), id);
    store.write(
        session -> {
          session.studies().set(april);
          session.studies().set(may);
          return true;
        });
    assertThat(changeOvers()).isEqualTo(Map.of(PORT_SUMP, may));
    store.write(
        session -> {
          session.studies().cancel(PORT_SUMP);
          return true;
        });
    assertThat(changeOvers()).isEmpty();
  }

  private Map<CompartmentId, ChangeOver> changeOvers() {
    return store.read(session -> session.studies().changeOvers());
  }
}
