package dev.lonja.store.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Approval;
import dev.lonja.core.fluid.ApprovalCode;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.Climate;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.grade.GradeChart;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.mixture.Protection;
import dev.lonja.core.pour.NewTopUp;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Stores;
import dev.lonja.store.reference.ReferenceFile;
import dev.lonja.store.reference.ReferenceRow;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Products, specs, the year, top-ups and reference changes on a real file. */
class FluidRepositoriesTest {

  private static final Instant NOW = Instant.parse("2027-03-15T08:00:00Z");
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final CompartmentId SUMP = new CompartmentId(5);
  private static final UnitId HOIST = new UnitId(4);

  @TempDir private Path folder;
  private LonjaStore store;

  @BeforeEach
  void open() {
    store = Stores.example(folder);
  }

  @AfterEach
  void close() {
    store.close();
  }

  private static Product product(ProductId id, List<Approval> approvals) {
    return new Product(
        id,
        "Orvane",
        "Alba",
        FluidKind.ENGINE_OIL,
        "10W-40",
        "API SP",
        approvals,
        new Product.Data(
            Optional.of(new AshContent(900)),
            Optional.empty(),
            Optional.of(false),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            List.of("hot-oil", "used-oil")),
        0);
  }

  @Test
  void aProductComesBackAsItWasWritten() {
    List<Approval> approvals =
        List.of(
            new Approval(new ApprovalCode("CV 41.2"), false),
            new Approval(new ApprovalCode("VK-205"), true));
    ProductId id =
        store.write(
            s -> {
              ProductId next = s.products().next();
              s.products().add(product(next, approvals));
              return next;
            });
    Product read = store.read(s -> s.products().byId(id).orElseThrow());
    assertThat(read.approvals()).isEqualTo(approvals);
    assertThat(read.data()).isEqualTo(product(id, approvals).data());
    assertThat(store.<Boolean>write(s -> s.products().update(read))).isTrue();
    // the version it was read with is no longer that on file
    assertThat(store.<Boolean>write(s -> s.products().update(read))).isFalse();
  }

  @Test
  void aSpecComesBackAsItWasWritten() {
    ServiceClass first = new ServiceClass("API", "CI-4");
    ServiceClass second = new ServiceClass("ACEA", "E7");
    Spec spec =
        new Spec(
            FluidKind.ENGINE_OIL,
            new GradeChart(
                List.of(
                    new GradeRow(
                        new Grade("15W-40"),
                        Optional.of(new Temperature(-155)),
                        Optional.empty()))),
            List.of(Set.of(first, second), Set.of(second)),
            List.of(new ApprovalCode("VK-205")),
            Spec.ApprovalMode.LISTED,
            new Spec.Limits(
                Optional.of(new AshContent(1_500)),
                Optional.of(700),
                Spec.FrictionModifier.FORBIDDEN,
                true,
                false,
                Optional.empty(),
                Optional.empty(),
                Protection.UNSAID));
    store.<Boolean>write(
        s -> {
          s.specs().save(SUMP, spec);
          return true;
        });
    assertThat(store.<Spec>read(s -> s.specs().all().get(SUMP))).isEqualTo(spec);
  }

  @Test
  void theYearHoldsAllTwelveMonths() {
    Climate year =
        new Climate(
            Collections.nCopies(
                12, new Climate.MonthRange(new Temperature(-35), new Temperature(205))));
    store.<Boolean>write(
        s -> {
          s.climate().set(year);
          return true;
        });
    assertThat(store.<Climate>read(s -> s.climate().inForce())).isEqualTo(year);
  }

  /** Added since the drain count; what was withdrawn does not, and nothing is ever changed. */
  @Test
  void topUpsCountUntilTheyAreWithdrawn() {
    long first = add("0.5", TODAY.minusDays(30));
    long second = add("0.3", TODAY);
    assertThat(volumes(Optional.empty())).containsExactly("500 mL", "300 mL");
    assertThat(volumes(Optional.of(TODAY.minusDays(10)))).containsExactly("300 mL");
    store.<Boolean>write(
        s -> {
          PourRepository.StoredTopUp wrong = s.pours().topUps(HOIST, SUMP, Optional.empty()).get(0);
          assertThat(wrong.id()).isEqualTo(first);
          s.pours().withdrawTopUp(HOIST, wrong, "other unit", "storekeeper", NOW);
          return true;
        });
    assertThat(volumes(Optional.empty())).containsExactly("300 mL");
    assertThat(second).isGreaterThan(first);
  }

  private long add(String litres, LocalDate on) {
    return store.write(
        s ->
            s.pours()
                .addTopUp(
                    HOIST,
                    new NewTopUp(
                        SUMP,
                        new ItemId(2),
                        Volume.ofLitres(litres),
                        on,
                        Optional.empty(),
                        "low",
                        "storekeeper"),
                    Optional.empty(),
                    NOW));
  }

  private List<String> volumes(Optional<LocalDate> after) {
    return store.read(
        s ->
            s.pours().topUps(HOIST, SUMP, after).stream()
                .map(topUp -> topUp.volume().display())
                .toList());
  }

  /** The latest line on a row holds, over what ships; taken out, the row is gone. */
  @Test
  void referenceChangesHoldOverWhatShips() {
    ReferenceRow own =
        new ReferenceRow(ReferenceFile.ENGINE_COLD, List.of("15W", "7000", "-18", "-23", "5.6"));
    store.<Boolean>write(
        s -> {
          s.references().put(own, "storekeeper", NOW);
          return true;
        });
    assertThat(limit("15W-40")).contains("−18 °C");
    assertThat(limit("10W-40")).contains("−25 °C");
    store.<Boolean>write(
        s -> {
          s.references().remove(own, "storekeeper", NOW);
          return true;
        });
    assertThat(limit("15W-40")).isEmpty();
    assertThat(store.<Integer>read(s -> s.references().changes(ReferenceFile.ENGINE_COLD).size()))
        .isEqualTo(2);
  }

  private Optional<String> limit(String grade) {
    return store.read(
        s ->
            s.references()
                .fluids()
                .grades()
                .coldLimit(FluidKind.ENGINE_OIL, new Grade(grade))
                .map(Temperature::display));
  }

  @Test
  void whatIsWrongIsRefusedByTheFile() {
    assertThatThrownBy(
            () ->
                store.<Boolean>write(
                    s -> {
                      s.products().add(product(s.products().next(), List.of()));
                      s.products().add(product(s.products().next(), List.of()));
                      return true;
                    }))
        .isInstanceOf(RuntimeException.class);
    assertThat(store.<Boolean>read(s -> s.products().byName("orvane", "ALBA").isEmpty())).isTrue();
  }
}
