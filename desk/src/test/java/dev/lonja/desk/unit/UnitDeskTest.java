package dev.lonja.desk.unit;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.Cage;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.variant.VariantDesk;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.store.fleet.VariantTasks.StoredTask;
import dev.lonja.store.query.UnitScope;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Units come in like one that is there; WB-1 has an hour meter on each side. */
class UnitDeskTest {

  private static final LocalDate FEBRUARY = LocalDate.parse("2027-02-01");
  private static final Map<String, MeterValue> NEW =
      Map.of("port", MeterValue.ofHours("0"), "starboard", MeterValue.ofHours("12.5"));

  @RegisterExtension private final Cage cage = new Cage();
  private UnitDesk desk;

  @BeforeEach
  void open() {
    desk = new UnitDesk(cage.store(), cage.clock(), cage.once());
  }

  private NewUnit boat(String code, LocalDate first, Map<String, MeterValue> starts) {
    return boat(code, first, new NewUnit.OfModel.Known(unit("WB-1").variant().id()), starts);
  }

  private static NewUnit boat(
      String code, LocalDate first, NewUnit.OfModel model, Map<String, MeterValue> starts) {
    return new NewUnit(
        code,
        "Workboat",
        new NewUnit.OfClass.Known("WB"),
        model,
        first,
        new TreeMap<>(starts)
            .entrySet().stream()
                .map(
                    start ->
                        new NewUnit.NewMeter(
                            start.getKey(), start.getValue(), Optional.empty(), Optional.empty()))
                .toList(),
        Optional.empty());
  }

  private List<StoredTask> tasks(long variant) {
    return cage.read(session -> session.variants().tasks().of(variant));
  }

  private Unit unit(String code) {
    return cage.read(session -> session.fleet().unitByCode(code)).orElseThrow();
  }

  @Test
  void aNewUnitHasTheVariantAndTheMetersOfItsModel() {
    assertThat(desk.add(cage.sent(), boat("WB-9", FEBRUARY, NEW)))
        .isEqualTo(new Outcome.Done("WB-9"));
    assertThat(unit("WB-9").variant()).isEqualTo(unit("WB-1").variant());
    List<Meter> meters =
        cage.read(session -> session.fleet().meters(UnitScope.ALL)).stream()
            .filter(meter -> meter.unitId().equals(unit("WB-9").id()))
            .toList();
    assertThat(meters).extracting(Meter::name).containsExactly("port", "starboard");
    assertThat(meters.get(1).start()).isEqualTo(MeterValue.ofHours("12.5"));
  }

  /** The code, the day and both meters are wrong; all four are told, and nothing comes in. */
  @Test
  void everythingWrongIsToldAtOnce() {
    LocalDate tomorrow = Cage.TODAY.plusDays(1);
    Map<String, MeterValue> starts = Map.of("port", MeterValue.ofKilometres("5"));
    assertThat(Cage.reasons(desk.add(cage.sent(), boat("WB-2", tomorrow, starts))))
        .isEqualTo(
            List.of(
                new UnitRefusal.CodeTaken("WB-2"),
                new UnitRefusal.InFuture(tomorrow, Cage.TODAY),
                new UnitRefusal.LacksMeter("starboard"),
                new UnitRefusal.OtherMeasure("port", "h")));
  }

  /** A copy of its model has its tasks too, and so needs their meters. */
  @Test
  void aModelThatComesAlongIsCopiedOrBare() {
    VariantDesk.Name name = new VariantDesk.Name("Tarrowby", "Pilot", "");
    long like = unit("WB-1").variant().id();
    NewUnit.OfModel copy = new NewUnit.OfModel.Added(name, Optional.of(like));
    assertThat(Cage.reasons(desk.add(cage.sent(), boat("WB-9", FEBRUARY, copy, Map.of()))))
        .containsExactlyInAnyOrder(
            new UnitRefusal.LacksMeter("port"), new UnitRefusal.LacksMeter("starboard"));
    List<StoredVariant> before = cage.read(session -> session.variants().all());
    assertThat(before).extracting(stored -> stored.variant().model()).doesNotContain("Pilot");
    desk.add(cage.sent(), boat("WB-9", FEBRUARY, copy, NEW));
    long made = unit("WB-9").variant().id();
    assertThat(made).isNotEqualTo(like);
    assertThat(tasks(made)).isNotEmpty().hasSameSizeAs(tasks(like));
    NewUnit.OfModel bare =
        new NewUnit.OfModel.Added(new VariantDesk.Name("Tarrowby", "Skiff", ""), Optional.empty());
    desk.add(cage.sent(), boat("WB-10", FEBRUARY, bare, Map.of()));
    assertThat(tasks(unit("WB-10").variant().id())).isEmpty();
  }

  /** /fleet/due is a page, so no unit is called DUE. */
  @Test
  void noUnitIsCalledLikeAPage() {
    for (String code : List.of("DUE", "", "-1", "A B")) {
      assertThat(Cage.reasons(desk.add(cage.sent(), boat(code, FEBRUARY, NEW))))
          .isEqualTo(List.of(new UnitRefusal.BadCode(code)));
    }
  }

  @Test
  void twoPeopleDoNotOverwriteEachOther() {
    long seen = unit("WB-2").version();
    desk.edit(cage.sent(), "WB-2", seen, new UnitDesk.Edit("Blue boat", "WB", FEBRUARY));
    assertThat(
            Cage.reasons(
                desk.edit(cage.sent(), "WB-2", seen, new UnitDesk.Edit("Red", "WB", FEBRUARY))))
        .isEqualTo(List.of(RequestRefusal.CHANGED_MEANWHILE));
    assertThat(unit("WB-2").name()).isEqualTo("Blue boat");
  }

  @Test
  void aUnitWithAnOpenTrayStays() {
    long version = unit("WB-3").version();
    cage.store()
        .write(
            s -> s.trays().add(unit("WB-3").id(), "Oil", LocalDate.parse("2027-03-18"), List.of()));
    assertThat(Cage.reasons(desk.retire(cage.sent(), "WB-3", version, Cage.TODAY, "sold")))
        .singleElement()
        .isInstanceOf(UnitRefusal.TrayOpen.class);
    LocalDate planned = LocalDate.parse("2027-03-18");
    assertThat(Cage.reasons(desk.retire(cage.sent(), "WB-3", version, planned, "sold"))).hasSize(1);
    assertThat(desk.retire(cage.sent(), "WB-3", version, planned.plusDays(1), "sold"))
        .isInstanceOf(Outcome.Done.class);
    desk.retire(cage.sent(), "WB-2", unit("WB-2").version(), Cage.TODAY, "sold");
    assertThat(unit("WB-2").retiredOn()).contains(Cage.TODAY);
  }

  /** Set for autumn, then for summer; a day before it came is refused, and gone is gone. */
  @Test
  void theDayOnWhichAUnitLeavesCanBeChangedUntilItHasCome() {
    LocalDate autumn = LocalDate.parse("2027-10-01");
    LocalDate summer = LocalDate.parse("2027-07-01");
    desk.retire(cage.sent(), "WB-2", unit("WB-2").version(), autumn, "sold");
    desk.retire(cage.sent(), "WB-2", unit("WB-2").version(), summer, "sold sooner");
    assertThat(unit("WB-2").retiredOn()).contains(summer);
    LocalDate came = unit("WB-2").inServiceOn();
    long version = unit("WB-2").version();
    assertThat(Cage.reasons(desk.retire(cage.sent(), "WB-2", version, came.minusDays(1), "x")))
        .containsExactly(new UnitRefusal.LeavesTooSoon(came.minusDays(1), came));
    desk.retire(cage.sent(), "WB-2", version, Cage.TODAY, "gone");
    assertThat(
            Cage.reasons(desk.retire(cage.sent(), "WB-2", unit("WB-2").version(), summer, "back")))
        .containsExactly(RequestRefusal.CHANGED_MEANWHILE);
  }
}
