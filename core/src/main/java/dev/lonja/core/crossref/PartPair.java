package dev.lonja.core.crossref;

import dev.lonja.core.crossref.Finding.Agreement;
import dev.lonja.core.crossref.Finding.Weight;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.Property;
import dev.lonja.core.part.ScrewThread;
import dev.lonja.core.quantity.Fineness;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Pressure;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Predicate;

/**
 * Two parts while they are compared, by the rules of their family: what must agree, what a person
 * should look at, and what the place demands.
 */
final class PartPair {

  private static final Length HALF_MILLIMETRE = new Length(500);
  private static final Length TENTH_OF_A_MILLIMETRE = new Length(100);
  private static final Length TEN_MILLIMETRES = new Length(10_000);
  private static final BigDecimal BELT_SHARE = new BigDecimal("0.005");
  private static final Length ONE_MILLIMETRE = new Length(1_000);
  private static final Length TWO_MILLIMETRES = new Length(2_000);
  private static final Length THREE_MILLIMETRES = new Length(3_000);
  private static final Length WASHER_BORE = new Length(300);
  private static final Length CORD = new Length(80);
  private static final Length O_RING_LEAST = new Length(150);
  private static final BigDecimal O_RING_SHARE = new BigDecimal("0.015");
  private static final BigDecimal BYPASS_BAR = new BigDecimal("0.2");
  private static final long BYPASS_PASCALS = 20_000;
  private static final BigDecimal COARSER = new BigDecimal("1.25");
  private static final int SHORE_POINTS = 5;

  /** The families whose width a place may limit. */
  private static final Set<Family> WIDE =
      EnumSet.of(
          Family.SPIN_ON_FILTER,
          Family.CARTRIDGE_FILTER,
          Family.ROUND_AIR_FILTER,
          Family.INLINE_FUEL_FILTER,
          Family.SEAL);

  /** The families that may have a water separator. */
  private static final Set<Family> SEPARATING =
      EnumSet.of(Family.SPIN_ON_FILTER, Family.CARTRIDGE_FILTER, Family.INLINE_FUEL_FILTER);

  private final Part asked;
  private final Part offered;
  private final Fitting place;
  private final RubberTable rubbers;
  private final List<Finding> findings = new ArrayList<>();

  PartPair(Part asked, Part offered, Fitting place, RubberTable rubbers) {
    this.asked = asked;
    this.offered = offered;
    this.place = place;
    this.rubbers = rubbers;
  }

  /** What the family's rules find, and what the place does of an offered part of that family. */
  List<Finding> compare(Family family) {
    compareBy(family);
    return judgeLimits();
  }

  private void compareBy(Family family) {
    switch (family) {
      case SPIN_ON_FILTER -> spinOn();
      case CARTRIDGE_FILTER -> cartridge();
      case ROUND_AIR_FILTER -> roundAir();
      case PANEL_AIR_FILTER -> panel();
      case CABIN_FILTER -> cabin();
      case INLINE_FUEL_FILTER -> inLine();
      case SEAL -> seal();
      case O_RING -> ring();
      case DRAIN_PLUG -> plug();
      case GASKET -> gasket();
      case BELT -> belt();
      case SPARK_PLUG -> sparkPlug();
      case HOSE_CLIP -> clip();
      case BLADE -> blade();
      case BULB -> bulb();
      case WIPER -> wiper();
      case GREASE -> grease();
      case FOAM_FILTER, FLUID, CONSUMABLE, KIT -> {}
    }
  }

  /**
   * Every limit of the place that the offered part can have something to say to. A part of an
   * unknown family can have any of it.
   */
  List<Finding> judgeLimits() {
    if (canHave(Family::isFilter)) {
      limit(Property.HEIGHT, place.mostHeight());
    }
    if (canHave(WIDE::contains)) {
      limit(Property.OUTER_DIAMETER, place.mostOuterDiameter());
    }
    if (place.needsAntiDrainValve() && canHave(Family.SPIN_ON_FILTER::equals)) {
      demand(Property.ANTI_DRAIN_VALVE, new Allowance.Demanded(), has -> has);
    }
    if (place.needsWaterSeparator() && canHave(SEPARATING::contains)) {
      demand(Property.WATER_SEPARATOR, new Allowance.Demanded(), has -> has);
    }
    return findings;
  }

  private boolean canHave(Predicate<Family> some) {
    return offered.family().map(some::test).orElse(true);
  }

  private void spinOn() {
    equal(Property.USE, Weight.MUST_AGREE);
    thread();
    within(Property.GASKET_OD, Weight.MUST_AGREE, HALF_MILLIMETRE);
    within(Property.GASKET_ID, Weight.MUST_AGREE, HALF_MILLIMETRE);
    bypass();
    Optional<String> use =
        asked.properties().get(Property.USE).or(() -> offered.properties().get(Property.USE));
    if (use.map("oil"::equals).orElse(true)) {
      ifAsked(Property.ANTI_DRAIN_VALVE);
    }
    if (use.map("fuel"::equals).orElse(true)) {
      ifAsked(Property.WATER_SEPARATOR);
    }
    within(Property.HEIGHT, Weight.CHECK, TWO_MILLIMETRES);
    within(Property.OUTER_DIAMETER, Weight.CHECK, TWO_MILLIMETRES);
    fineness();
  }

  private void cartridge() {
    within(Property.HEIGHT, Weight.MUST_AGREE, ONE_MILLIMETRE);
    within(Property.OUTER_DIAMETER, Weight.MUST_AGREE, HALF_MILLIMETRE);
    within(Property.TOP_ID, Weight.MUST_AGREE, HALF_MILLIMETRE);
    within(Property.BOTTOM_ID, Weight.MUST_AGREE, HALF_MILLIMETRE);
    equal(Property.END_CAP, Weight.MUST_AGREE);
    fineness();
  }

  private void roundAir() {
    within(Property.OUTER_DIAMETER, Weight.MUST_AGREE, TWO_MILLIMETRES);
    within(Property.INNER_DIAMETER, Weight.MUST_AGREE, TWO_MILLIMETRES);
    within(Property.HEIGHT, Weight.MUST_AGREE, TWO_MILLIMETRES);
    equal(Property.CLOSED_END, Weight.MUST_AGREE);
    equal(Property.PRE_CLEANER, Weight.CHECK);
  }

  private void panel() {
    within(Property.LENGTH, Weight.MUST_AGREE, TWO_MILLIMETRES);
    within(Property.WIDTH, Weight.MUST_AGREE, TWO_MILLIMETRES);
    within(Property.HEIGHT, Weight.MUST_AGREE, TWO_MILLIMETRES);
  }

  private void cabin() {
    panel();
    judge(
        Property.CARBON,
        Weight.CHECK,
        new Allowance.IfAsked(),
        (wanted, given) -> !wanted || given);
  }

  private void inLine() {
    equal(Property.INLET, Weight.MUST_AGREE);
    equal(Property.OUTLET, Weight.MUST_AGREE);
    judge(
        Property.PRESSURE_CLASS,
        Weight.MUST_AGREE,
        new Allowance.AtLeast(),
        (wanted, given) -> given.compareTo(wanted) >= 0);
    ifAsked(Property.WATER_SEPARATOR);
    fineness();
  }

  private void seal() {
    within(Property.INNER_DIAMETER, Weight.MUST_AGREE, WASHER_BORE);
    within(Property.OUTER_DIAMETER, Weight.MUST_AGREE, ONE_MILLIMETRE);
    within(Property.THICKNESS, Weight.MUST_AGREE, WASHER_BORE);
    equal(Property.SEAL_FORM, Weight.MUST_AGREE);
    if (listed(Property.MATERIAL).isEmpty()) {
      equal(Property.MATERIAL, Weight.MUST_AGREE);
    } else {
      demandListed(Property.MATERIAL);
      equal(Property.MATERIAL, Weight.CHECK);
    }
  }

  /**
   * What the place's list names of a property: of washers their material, of O-rings the rubber.
   */
  private List<String> listed(Property<String> property) {
    return place.materials().stream().filter(property.choices()::contains).toList();
  }

  private void demandListed(Property<String> property) {
    List<String> listed = listed(property);
    if (!listed.isEmpty()) {
      demand(property, new Allowance.OneOf(listed), listed::contains);
    }
  }

  private void ring() {
    asked
        .properties()
        .get(Property.INNER_DIAMETER)
        .ifPresentOrElse(
            id -> within(Property.INNER_DIAMETER, Weight.MUST_AGREE, ofRing(id)),
            () -> within(Property.INNER_DIAMETER, Weight.MUST_AGREE, O_RING_LEAST));
    within(Property.CROSS_SECTION, Weight.MUST_AGREE, CORD);
    demandListed(Property.RUBBER);
    rubber();
    judge(
        Property.HARDNESS,
        Weight.CHECK,
        new Allowance.WithinPoints(SHORE_POINTS),
        (wanted, given) -> Math.abs(given - wanted) <= SHORE_POINTS);
  }

  private static Length ofRing(Length inside) {
    BigDecimal share = BigDecimal.valueOf(inside.micrometres()).multiply(O_RING_SHARE);
    return new Length(Math.max(share.longValue(), O_RING_LEAST.micrometres()));
  }

  private void plug() {
    thread();
    equal(Property.SEALING, Weight.MUST_AGREE);
    judge(
        Property.SHANK_LENGTH,
        Weight.MUST_AGREE,
        new Allowance.Between(TWO_MILLIMETRES, THREE_MILLIMETRES),
        (wanted, given) -> {
          long more = given.micrometres() - wanted.micrometres();
          return more <= THREE_MILLIMETRES.micrometres() && more >= -TWO_MILLIMETRES.micrometres();
        });
    equal(Property.HEX, Weight.CHECK);
    equal(Property.MAGNET, Weight.CHECK);
  }

  private void gasket() {
    within(Property.LENGTH, Weight.MUST_AGREE, ONE_MILLIMETRE);
    within(Property.WIDTH, Weight.MUST_AGREE, ONE_MILLIMETRE);
    within(Property.THICKNESS, Weight.MUST_AGREE, WASHER_BORE);
    equal(Property.HOLES, Weight.MUST_AGREE);
    equal(Property.GASKET_MATERIAL, Weight.CHECK);
  }

  private void belt() {
    spelled(Property.BELT_PROFILE);
    within(
        Property.LENGTH,
        Weight.MUST_AGREE,
        asked.properties().get(Property.LENGTH).map(PartPair::ofBelt).orElse(TWO_MILLIMETRES));
  }

  private static Length ofBelt(Length length) {
    BigDecimal share = BigDecimal.valueOf(length.micrometres()).multiply(BELT_SHARE);
    return new Length(Math.max(share.longValue(), TWO_MILLIMETRES.micrometres()));
  }

  private void sparkPlug() {
    thread();
    within(Property.REACH, Weight.MUST_AGREE, HALF_MILLIMETRE);
    equal(Property.SEAT, Weight.MUST_AGREE);
    ifAsked(Property.RESISTOR);
    heatRange();
    equal(Property.HEX, Weight.CHECK);
    within(Property.GAP, Weight.CHECK, TENTH_OF_A_MILLIMETRE);
  }

  /** Every maker counts his own way, so only figures of one scale say anything. */
  private void heatRange() {
    Optional<String> scale = asked.properties().get(Property.HEAT_SCALE);
    boolean isOneScale =
        scale.isPresent()
            && offered
                .properties()
                .get(Property.HEAT_SCALE)
                .filter(scale.get()::equalsIgnoreCase)
                .isPresent();
    if (isOneScale) {
      spelled(Property.HEAT_RANGE);
    } else {
      note(Property.HEAT_RANGE, Weight.MUST_AGREE, Agreement.UNVERIFIED, new Allowance.Equal());
    }
  }

  /** It has to grip all that the other one does. */
  private void clip() {
    judge(
        Property.GRIPS_FROM,
        Weight.MUST_AGREE,
        new Allowance.AtMost(),
        (wanted, given) -> given.compareTo(wanted) <= 0);
    judge(
        Property.GRIPS_TO,
        Weight.MUST_AGREE,
        new Allowance.AtLeast(),
        (wanted, given) -> given.compareTo(wanted) >= 0);
    within(Property.WIDTH, Weight.CHECK, ONE_MILLIMETRE);
  }

  private void blade() {
    within(Property.LENGTH, Weight.MUST_AGREE, ONE_MILLIMETRE);
    within(Property.HOLE, Weight.MUST_AGREE, WASHER_BORE);
    equal(Property.HOLE_FORM, Weight.MUST_AGREE);
    within(Property.THICKNESS, Weight.CHECK, ONE_MILLIMETRE);
  }

  private void bulb() {
    spelled(Property.CAP);
    equal(Property.VOLTS, Weight.MUST_AGREE);
    judge(
        Property.WATTS,
        Weight.MUST_AGREE,
        new Allowance.AtMost(),
        (wanted, given) -> given <= wanted);
  }

  /** Soaps that do not agree run out of the bearing together. */
  private void grease() {
    spelled(Property.THICKENER);
    equal(Property.CONSISTENCY, Weight.CHECK);
  }

  private void wiper() {
    within(Property.LENGTH, Weight.MUST_AGREE, TEN_MILLIMETRES);
    spelled(Property.ARM);
  }

  /** The same letters, large or small. */
  private void spelled(Property<String> property) {
    judge(property, Weight.MUST_AGREE, new Allowance.Equal(), String::equalsIgnoreCase);
  }

  private <T> void equal(Property<T> property, Weight weight) {
    judge(property, weight, new Allowance.Equal(), Object::equals);
  }

  private void within(Property<Length> property, Weight weight, Length tolerance) {
    judge(
        property,
        weight,
        new Allowance.Within(tolerance),
        (wanted, given) ->
            Math.abs(given.micrometres() - wanted.micrometres()) <= tolerance.micrometres());
  }

  private <T> void judge(
      Property<T> property, Weight weight, Allowance allowance, BiFunction<T, T, Boolean> agrees) {
    Optional<T> wanted = asked.properties().get(property);
    Optional<T> given = offered.properties().get(property);
    Agreement agreement =
        wanted.isPresent() && given.isPresent()
            ? agreement(agrees.apply(wanted.get(), given.get()))
            : Agreement.UNVERIFIED;
    note(property, weight, agreement, allowance);
  }

  private void note(Property<?> property, Weight weight, Agreement agreement, Allowance allowance) {
    findings.add(
        new Finding(
            property,
            weight,
            agreement,
            asked.properties().display(property),
            offered.properties().display(property),
            allowance));
  }

  private static Agreement agreement(boolean agrees) {
    return agrees ? Agreement.AGREES : Agreement.DIFFERS;
  }

  /** Diameter, form and pitch; a pitch that is missing leaves the rest unverified. */
  private void thread() {
    Optional<ScrewThread> wanted = asked.properties().get(Property.THREAD);
    Optional<ScrewThread> given = offered.properties().get(Property.THREAD);
    Agreement agreement = Agreement.UNVERIFIED;
    if (wanted.isPresent() && given.isPresent()) {
      agreement = threads(wanted.get(), given.get());
    }
    note(Property.THREAD, Weight.MUST_AGREE, agreement, new Allowance.Equal());
  }

  private static Agreement threads(ScrewThread wanted, ScrewThread given) {
    if (wanted.form() != given.form() || !wanted.diameter().equals(given.diameter())) {
      return Agreement.DIFFERS;
    }
    if (wanted.form().isPipe()) {
      return Agreement.AGREES;
    }
    boolean bothStated = wanted.pitch().isPresent() && given.pitch().isPresent();
    return bothStated ? agreement(wanted.pitch().equals(given.pitch())) : Agreement.UNVERIFIED;
  }

  private void bypass() {
    judge(
        Property.BYPASS,
        Weight.MUST_AGREE,
        new Allowance.WithinBar(BYPASS_BAR),
        (wanted, given) ->
            wanted.isPresent() && given.isPresent()
                ? pascals(wanted.get(), given.get()) <= BYPASS_PASCALS
                : wanted.isEmpty() && given.isEmpty());
  }

  private static long pascals(Pressure one, Pressure other) {
    return Math.abs(one.pascals() - other.pascals());
  }

  /** What the asked-for part has, the offered one must; what it lacks, the other may have. */
  private void ifAsked(Property<Boolean> property) {
    Optional<Boolean> wanted = asked.properties().get(property);
    boolean lacksIt = wanted.filter(has -> !has).isPresent();
    if (lacksIt) {
      note(property, Weight.MUST_AGREE, Agreement.AGREES, new Allowance.IfAsked());
    } else {
      judge(property, Weight.MUST_AGREE, new Allowance.IfAsked(), (had, has) -> has);
    }
  }

  private void fineness() {
    Optional<Fineness> wanted = asked.properties().get(Property.FINENESS);
    Optional<Fineness> given = offered.properties().get(Property.FINENESS);
    Optional<String> test = asked.properties().get(Property.FINENESS_TEST);
    boolean comparable =
        wanted.isPresent()
            && given.isPresent()
            && test.isPresent()
            && test.equals(offered.properties().get(Property.FINENESS_TEST));
    Agreement agreement =
        comparable ? agreement(isFineEnough(wanted.get(), given.get())) : Agreement.UNVERIFIED;
    note(Property.FINENESS, Weight.CHECK, agreement, new Allowance.AtMostTimes(COARSER));
  }

  private static boolean isFineEnough(Fineness wanted, Fineness given) {
    BigDecimal most = BigDecimal.valueOf(wanted.tenthsOfMicrometre()).multiply(COARSER);
    return BigDecimal.valueOf(given.tenthsOfMicrometre()).compareTo(most) <= 0;
  }

  private void rubber() {
    if (place.fluid().isPresent()) {
      String fluid = place.fluid().get();
      Optional<RubberTable.Guidance> guidance =
          offered.properties().get(Property.RUBBER).flatMap(r -> rubbers.of(r, fluid));
      Allowance withstands = new Allowance.Withstands(fluid);
      if (guidance.filter(g -> g == RubberTable.Guidance.CHECK).isPresent()) {
        note(Property.RUBBER, Weight.CHECK, Agreement.DIFFERS, withstands);
      } else {
        Agreement agreement =
            guidance
                .map(g -> agreement(g == RubberTable.Guidance.YES))
                .orElse(Agreement.UNVERIFIED);
        note(Property.RUBBER, Weight.POSITION, agreement, withstands);
      }
      return;
    }
    // without a fluid the same rubber is sure to do, and of another nothing is known
    boolean same =
        asked.properties().get(Property.RUBBER).isPresent()
            && asked
                .properties()
                .get(Property.RUBBER)
                .equals(offered.properties().get(Property.RUBBER));
    note(
        Property.RUBBER,
        Weight.MUST_AGREE,
        same ? Agreement.AGREES : Agreement.UNVERIFIED,
        new Allowance.Equal());
  }

  private void limit(Property<Length> property, Optional<Length> most) {
    most.ifPresent(
        length ->
            demand(property, new Allowance.UpTo(length), given -> given.compareTo(length) <= 0));
  }

  private <T> void demand(Property<T> property, Allowance allowance, Predicate<T> met) {
    Agreement agreement =
        offered
            .properties()
            .get(property)
            .map(value -> agreement(met.test(value)))
            .orElse(Agreement.UNVERIFIED);
    note(property, Weight.POSITION, agreement, allowance);
  }
}
