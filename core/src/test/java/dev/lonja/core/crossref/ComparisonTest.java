package dev.lonja.core.crossref;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.crossref.Finding.Agreement;
import dev.lonja.core.crossref.Finding.Weight;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.Properties;
import dev.lonja.core.quantity.Length;
import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each limit of the table of families on, just under and just over. */
class ComparisonTest {

  private static final RubberTable RUBBERS =
      new RubberTable(
          Map.of(
              new RubberTable.Pair("NBR", "mineral oil"), RubberTable.Guidance.YES,
              new RubberTable.Pair("NBR", "diesel"), RubberTable.Guidance.YES,
              new RubberTable.Pair("FKM", "mineral oil"), RubberTable.Guidance.YES,
              new RubberTable.Pair("EPDM", "mineral oil"), RubberTable.Guidance.NO,
              new RubberTable.Pair("NBR", "ester hydraulic"), RubberTable.Guidance.CHECK));

  /** A whole part of each family; the tests change one property of the offered one. */
  private static final Map<Family, String> WHOLE =
      new EnumMap<>(
          Map.of(
              Family.SPIN_ON_FILTER,
              "use=oil; thread=M20×1.5; gasket_od=72; gasket_id=62; bypass=1.2; anti_drain_valve=yes;"
                  + " height=93; outer_diameter=76; fineness=20; fineness_test=ISO 4548-12",
              Family.CARTRIDGE_FILTER,
              "height=104; outer_diameter=64; top_id=26; bottom_id=20; end_cap=plastic",
              Family.ROUND_AIR_FILTER,
              "outer_diameter=230; inner_diameter=130; height=310; closed_end=yes; pre_cleaner=no",
              Family.CABIN_FILTER,
              "length=300; width=200; height=30; carbon=yes",
              Family.INLINE_FUEL_FILTER,
              "inlet=8; outlet=8; pressure_class=6; water_separator=no",
              Family.SEAL,
              "inner_diameter=14; outer_diameter=18; thickness=1.5; seal_form=flat; material=copper",
              Family.O_RING,
              "inner_diameter=68; cross_section=3; rubber=NBR; hardness=70",
              Family.DRAIN_PLUG,
              "thread=M14×1.5; sealing=washer; shank_length=18; hex=17; magnet=no"));

  static {
    WHOLE.put(Family.GASKET, "length=120; width=80; thickness=1; holes=6; gasket_material=paper");
    WHOLE.put(Family.BELT, "belt_profile=10; length=1250");
    WHOLE.put(
        Family.SPARK_PLUG,
        "thread=M14×1.25; reach=19; seat=flat; hex=21; resistor=yes; heat_range=6;"
            + " heat_scale=Pellam; gap=0.8");
    WHOLE.put(Family.HOSE_CLIP, "grips_from=20; grips_to=32; width=9");
    WHOLE.put(Family.BLADE, "length=535; hole=17.5; hole_form=star; thickness=3");
    WHOLE.put(Family.BULB, "cap=P21W; volts=12; watts=21");
    WHOLE.put(Family.GREASE, "nlgi=2; thickener=lithium complex");
    WHOLE.put(Family.WIPER, "length=550; arm=hook");
  }

  private static Part part(Family family, String properties) {
    return part(Optional.of(family), properties);
  }

  private static Part part(Optional<Family> family, String properties) {
    Properties all = Properties.NONE;
    for (String one : properties.split("; *")) {
      String[] pair = one.split("=");
      all = all.withWritten(pair[0], pair[1]);
    }
    return new Part(new PartId(1), "Pellam", "PL 1", family, all);
  }

  @ParameterizedTest
  @CsvSource({
    "SPIN_ON_FILTER, use, fuel, DIFFERS, MUST_AGREE",
    "SPIN_ON_FILTER, thread, 'M20x1,5', AGREES, MUST_AGREE",
    "SPIN_ON_FILTER, thread, M20×1.75, DIFFERS, MUST_AGREE",
    "SPIN_ON_FILTER, thread, M20, UNVERIFIED, MUST_AGREE",
    "SPIN_ON_FILTER, thread, 3/4-16, DIFFERS, MUST_AGREE",
    "SPIN_ON_FILTER, gasket_od, 72.5, AGREES, MUST_AGREE",
    "SPIN_ON_FILTER, gasket_od, 72.501, DIFFERS, MUST_AGREE",
    "SPIN_ON_FILTER, gasket_od, 71.5, AGREES, MUST_AGREE",
    "SPIN_ON_FILTER, gasket_id, 61.499, DIFFERS, MUST_AGREE",
    "SPIN_ON_FILTER, bypass, 1.4, AGREES, MUST_AGREE",
    "SPIN_ON_FILTER, bypass, 1.401, DIFFERS, MUST_AGREE",
    "SPIN_ON_FILTER, bypass, 1.0, AGREES, MUST_AGREE",
    "SPIN_ON_FILTER, bypass, none, DIFFERS, MUST_AGREE",
    "SPIN_ON_FILTER, anti_drain_valve, no, DIFFERS, MUST_AGREE",
    "SPIN_ON_FILTER, height, 95, AGREES, CHECK",
    "SPIN_ON_FILTER, height, 95.001, DIFFERS, CHECK",
    "SPIN_ON_FILTER, outer_diameter, 73.999, DIFFERS, CHECK",
    "SPIN_ON_FILTER, fineness, 25, AGREES, CHECK",
    "SPIN_ON_FILTER, fineness, 25.1, DIFFERS, CHECK",
    "SPIN_ON_FILTER, fineness, 5, AGREES, CHECK",
    "SPIN_ON_FILTER, fineness_test, ISO 19438, UNVERIFIED, CHECK",
    "CARTRIDGE_FILTER, height, 105, AGREES, MUST_AGREE",
    "CARTRIDGE_FILTER, height, 105.001, DIFFERS, MUST_AGREE",
    "CARTRIDGE_FILTER, outer_diameter, 64.501, DIFFERS, MUST_AGREE",
    "CARTRIDGE_FILTER, top_id, 25.5, AGREES, MUST_AGREE",
    "CARTRIDGE_FILTER, bottom_id, 19.499, DIFFERS, MUST_AGREE",
    "CARTRIDGE_FILTER, end_cap, felt, DIFFERS, MUST_AGREE",
    "ROUND_AIR_FILTER, outer_diameter, 232, AGREES, MUST_AGREE",
    "ROUND_AIR_FILTER, height, 307.999, DIFFERS, MUST_AGREE",
    "ROUND_AIR_FILTER, closed_end, no, DIFFERS, MUST_AGREE",
    "ROUND_AIR_FILTER, pre_cleaner, yes, DIFFERS, CHECK",
    "CABIN_FILTER, length, 302, AGREES, MUST_AGREE",
    "CABIN_FILTER, width, 202.001, DIFFERS, MUST_AGREE",
    "CABIN_FILTER, carbon, no, DIFFERS, CHECK",
    "INLINE_FUEL_FILTER, inlet, 8.001, DIFFERS, MUST_AGREE",
    "INLINE_FUEL_FILTER, pressure_class, 6, AGREES, MUST_AGREE",
    "INLINE_FUEL_FILTER, pressure_class, 5.999, DIFFERS, MUST_AGREE",
    "INLINE_FUEL_FILTER, pressure_class, 10, AGREES, MUST_AGREE",
    "INLINE_FUEL_FILTER, water_separator, yes, AGREES, MUST_AGREE",
    "SEAL, inner_diameter, 14.3, AGREES, MUST_AGREE",
    "SEAL, inner_diameter, 14.301, DIFFERS, MUST_AGREE",
    "SEAL, outer_diameter, 19, AGREES, MUST_AGREE",
    "SEAL, outer_diameter, 19.001, DIFFERS, MUST_AGREE",
    "SEAL, thickness, 1.2, AGREES, MUST_AGREE",
    "SEAL, thickness, 1.199, DIFFERS, MUST_AGREE",
    "SEAL, seal_form, filled, DIFFERS, MUST_AGREE",
    "SEAL, material, aluminium, DIFFERS, MUST_AGREE",
    // 1.5 % of 68 mm = 1.02 mm
    "O_RING, inner_diameter, 69.02, AGREES, MUST_AGREE",
    "O_RING, inner_diameter, 69.021, DIFFERS, MUST_AGREE",
    "O_RING, cross_section, 3.08, AGREES, MUST_AGREE",
    "O_RING, cross_section, 2.919, DIFFERS, MUST_AGREE",
    "O_RING, rubber, FKM, UNVERIFIED, MUST_AGREE",
    "O_RING, hardness, 75, AGREES, CHECK",
    "O_RING, hardness, 76, DIFFERS, CHECK",
    "DRAIN_PLUG, thread, M14×1.25, DIFFERS, MUST_AGREE",
    "DRAIN_PLUG, sealing, taper, DIFFERS, MUST_AGREE",
    "DRAIN_PLUG, shank_length, 21, AGREES, MUST_AGREE",
    "DRAIN_PLUG, shank_length, 21.001, DIFFERS, MUST_AGREE",
    "DRAIN_PLUG, shank_length, 16, AGREES, MUST_AGREE",
    "DRAIN_PLUG, shank_length, 15.999, DIFFERS, MUST_AGREE",
    "DRAIN_PLUG, hex, 19, DIFFERS, CHECK",
    "DRAIN_PLUG, magnet, yes, DIFFERS, CHECK",
    "GASKET, length, 121, AGREES, MUST_AGREE",
    "GASKET, width, 78.999, DIFFERS, MUST_AGREE",
    "GASKET, thickness, 1.301, DIFFERS, MUST_AGREE",
    "GASKET, holes, 8, DIFFERS, MUST_AGREE",
    "GASKET, gasket_material, cork, DIFFERS, CHECK",
    // half a per cent of 1,250 mm is 6.25 mm
    "BELT, length, 1256.25, AGREES, MUST_AGREE",
    "BELT, length, 1256.251, DIFFERS, MUST_AGREE",
    "BELT, belt_profile, 13, DIFFERS, MUST_AGREE",
    "SPARK_PLUG, thread, M14×1.5, DIFFERS, MUST_AGREE",
    "SPARK_PLUG, reach, 19.5, AGREES, MUST_AGREE",
    "SPARK_PLUG, reach, 19.501, DIFFERS, MUST_AGREE",
    "SPARK_PLUG, seat, tapered, DIFFERS, MUST_AGREE",
    "SPARK_PLUG, resistor, no, DIFFERS, MUST_AGREE",
    "SPARK_PLUG, heat_range, 7, DIFFERS, MUST_AGREE",
    "SPARK_PLUG, hex, 16, DIFFERS, CHECK",
    "SPARK_PLUG, gap, 0.9, AGREES, CHECK",
    "SPARK_PLUG, gap, 0.901, DIFFERS, CHECK",
    "HOSE_CLIP, grips_from, 18, AGREES, MUST_AGREE",
    "HOSE_CLIP, grips_from, 20.001, DIFFERS, MUST_AGREE",
    "HOSE_CLIP, grips_to, 31.999, DIFFERS, MUST_AGREE",
    "HOSE_CLIP, width, 12, DIFFERS, CHECK",
    "BLADE, length, 536, AGREES, MUST_AGREE",
    "BLADE, hole, 17.801, DIFFERS, MUST_AGREE",
    "BLADE, hole_form, round, DIFFERS, MUST_AGREE",
    "BLADE, thickness, 4.001, DIFFERS, CHECK",
    "GREASE, thickener, Lithium complex, AGREES, MUST_AGREE",
    "GREASE, thickener, polyurea, DIFFERS, MUST_AGREE",
    "GREASE, nlgi, 1, DIFFERS, CHECK",
    "BULB, cap, p21w, AGREES, MUST_AGREE",
    "BULB, volts, 24, DIFFERS, MUST_AGREE",
    "BULB, watts, 18, AGREES, MUST_AGREE",
    "BULB, watts, 22, DIFFERS, MUST_AGREE",
    "WIPER, length, 560, AGREES, MUST_AGREE",
    "WIPER, length, 560.001, DIFFERS, MUST_AGREE",
    "WIPER, arm, bayonet, DIFFERS, MUST_AGREE"
  })
  void aLimit(Family family, String property, String value, Agreement agreement, Weight weight) {
    Part asked = part(family, WHOLE.get(family));
    Part offered = part(family, WHOLE.get(family) + "; " + property + "=" + value);
    Comparison comparison = Comparison.of(asked, offered, Fitting.ANYWHERE, RUBBERS);
    String name = property.equals("fineness_test") ? "fineness" : property;
    assertThat(finding(comparison, name).agreement()).isEqualTo(agreement);
    assertThat(finding(comparison, name).weight()).isEqualTo(weight);
    boolean mustDiffer = agreement == Agreement.DIFFERS && weight == Weight.MUST_AGREE;
    assertThat(comparison.contradicts()).isEqualTo(mustDiffer);
  }

  /** Of a small O-ring 0.15 mm is more than 1.5 %: 1.5 % of 6 mm is 0.09 mm. */
  @ParameterizedTest
  @CsvSource({"6.15, AGREES", "6.151, DIFFERS"})
  void aSmallRing(String inside, Agreement agreement) {
    String rest = "cross_section=2; rubber=NBR; hardness=70; inner_diameter=";
    Comparison comparison =
        Comparison.of(
            part(Family.O_RING, rest + "6"),
            part(Family.O_RING, rest + inside),
            Fitting.ANYWHERE,
            RUBBERS);
    assertThat(finding(comparison, "inner_diameter").agreement()).isEqualTo(agreement);
  }

  /** Where the asked-for filter lacks the valve, the other may have it, and need not be known. */
  @Test
  void aValveNobodyAskedFor() {
    String rest = "use=oil; anti_drain_valve=";
    Part without = part(Family.SPIN_ON_FILTER, rest + "no");
    Part with = part(Family.SPIN_ON_FILTER, rest + "yes");
    Part unknown = part(Family.SPIN_ON_FILTER, "use=oil");
    assertThat(valve(without, with)).isEqualTo(Agreement.AGREES);
    assertThat(valve(without, unknown)).isEqualTo(Agreement.AGREES);
    assertThat(valve(with, unknown)).isEqualTo(Agreement.UNVERIFIED);
    assertThat(valve(unknown, with)).isEqualTo(Agreement.UNVERIFIED);
  }

  private static Agreement valve(Part asked, Part offered) {
    return finding(Comparison.of(asked, offered, Fitting.ANYWHERE, RUBBERS), "anti_drain_valve")
        .agreement();
  }

  @Test
  void familiesThatDifferAndFamiliesThatAreUnknown() {
    Part filter = part(Family.SPIN_ON_FILTER, "use=oil");
    Part cartridge = part(Family.CARTRIDGE_FILTER, "height=100");
    Part unknown = new Part(new PartId(2), "Pellam", "PL 2", Optional.empty(), Properties.NONE);
    assertThat(Comparison.of(filter, cartridge, Fitting.ANYWHERE, RUBBERS).contradicts()).isTrue();
    Comparison open = Comparison.of(filter, unknown, Fitting.ANYWHERE, RUBBERS);
    assertThat(open.contradicts()).isFalse();
    assertThat(open.asksForACheck()).isTrue();
  }

  /** A position's limits forbid without contradicting anyone who spoke of the parts alone. */
  @ParameterizedTest
  @CsvSource({"93, false", "92.999, true"})
  void aPositionThatIsTooLow(String room, boolean forbidden) {
    Part filter = part(Family.SPIN_ON_FILTER, WHOLE.get(Family.SPIN_ON_FILTER));
    Fitting low =
        new Fitting(
            Optional.of(Length.ofMillimetres(new BigDecimal(room))),
            Optional.empty(),
            true,
            false,
            List.of(),
            Optional.empty());
    Comparison comparison = Comparison.of(filter, filter, low, RUBBERS);
    assertThat(comparison.forbids()).isEqualTo(forbidden);
    assertThat(comparison.contradicts()).isFalse();
  }

  /** The families that have a width that a place may limit, and one of which nobody knows. */
  @ParameterizedTest
  @CsvSource({
    "SPIN_ON_FILTER, DIFFERS",
    "CARTRIDGE_FILTER, DIFFERS",
    "ROUND_AIR_FILTER, DIFFERS",
    "INLINE_FUEL_FILTER, DIFFERS",
    "SEAL, DIFFERS",
    ", DIFFERS",
    "PANEL_AIR_FILTER,",
    "O_RING,"
  })
  void aPlaceThatIsTooNarrow(Family family, Agreement agreement) {
    Fitting narrow =
        new Fitting(
            Optional.empty(),
            Optional.of(Length.ofMillimetres(new BigDecimal("60"))),
            false,
            false,
            List.of(),
            Optional.empty());
    assertThat(atPlace(family, "outer_diameter=60.001", narrow, "outer_diameter"))
        .isEqualTo(Optional.ofNullable(agreement));
  }

  /** Every filter has a height; what is not recorded of it is not verified. */
  @ParameterizedTest
  @CsvSource({
    "FOAM_FILTER, height=40.001, DIFFERS",
    "INLINE_FUEL_FILTER, height=40, AGREES",
    "PANEL_AIR_FILTER, length=300, UNVERIFIED",
    ", length=300, UNVERIFIED",
    "SEAL, height=50,"
  })
  void aPlaceThatIsTooLowForAnyFilter(Family family, String recorded, Agreement agreement) {
    Fitting low =
        new Fitting(
            Optional.of(Length.ofMillimetres(new BigDecimal("40"))),
            Optional.empty(),
            false,
            false,
            List.of(),
            Optional.empty());
    assertThat(atPlace(family, recorded, low, "height")).isEqualTo(Optional.ofNullable(agreement));
  }

  /** Spin-on, cartridge and in-line filters may have a separator, whatever their use is. */
  @ParameterizedTest
  @CsvSource({
    "SPIN_ON_FILTER, use=oil; water_separator=no, DIFFERS",
    "CARTRIDGE_FILTER, water_separator=yes, AGREES",
    "CARTRIDGE_FILTER, height=100, UNVERIFIED",
    "INLINE_FUEL_FILTER, water_separator=no, DIFFERS",
    ", height=100, UNVERIFIED",
    "ROUND_AIR_FILTER, height=100,"
  })
  void aPlaceThatNeedsASeparator(Family family, String recorded, Agreement agreement) {
    Fitting separating =
        new Fitting(Optional.empty(), Optional.empty(), false, true, List.of(), Optional.empty());
    assertThat(atPlace(family, recorded, separating, "water_separator"))
        .isEqualTo(Optional.ofNullable(agreement));
  }

  /** What the place finds in a part whose fellow is of another family; empty if it is silent. */
  private static Optional<Agreement> atPlace(
      Family family, String recorded, Fitting place, String property) {
    Part offered = part(Optional.ofNullable(family), recorded);
    Part asked =
        new Part(new PartId(2), "Pellam", "PL 2", Optional.of(Family.KIT), Properties.NONE);
    return Comparison.of(asked, offered, place, RUBBERS).findings().stream()
        .filter(finding -> finding.property().name().equals(property))
        .peek(finding -> assertThat(finding.weight()).isEqualTo(Weight.POSITION))
        .map(Finding::agreement)
        .findFirst();
  }

  /** Nobody knows what the filter is for: both its valve and its separator may matter. */
  @Test
  void aFilterOfUnknownUse() {
    Part with = part(Family.SPIN_ON_FILTER, "anti_drain_valve=yes; water_separator=yes");
    Part without = part(Family.SPIN_ON_FILTER, "anti_drain_valve=no; water_separator=no");
    Comparison comparison = Comparison.of(with, without, Fitting.ANYWHERE, RUBBERS);
    assertThat(finding(comparison, "anti_drain_valve").agreement()).isEqualTo(Agreement.DIFFERS);
    assertThat(finding(comparison, "water_separator").agreement()).isEqualTo(Agreement.DIFFERS);
  }

  /** A filter that hangs sideways needs the valve; whether it has one must be known. */
  @Test
  void aPositionThatNeedsTheValve() {
    Fitting sideways =
        new Fitting(Optional.empty(), Optional.empty(), true, false, List.of(), Optional.empty());
    Part without = part(Family.SPIN_ON_FILTER, "use=oil; anti_drain_valve=no");
    Part unknown = part(Family.SPIN_ON_FILTER, "use=oil");
    assertThat(Comparison.of(without, without, sideways, RUBBERS).forbids()).isTrue();
    Comparison open = Comparison.of(unknown, unknown, sideways, RUBBERS);
    assertThat(open.forbids()).isFalse();
    assertThat(open.asksForACheck()).isTrue();
  }

  /** Copper is asked for; the drain point allows aluminium too, which is then a matter to check. */
  @ParameterizedTest
  @CsvSource({"copper, false, false", "aluminium, false, true", "fibre, true, true"})
  void aListOfMaterials(String material, boolean forbidden, boolean check) {
    Fitting listed =
        new Fitting(
            Optional.empty(),
            Optional.empty(),
            false,
            false,
            List.of("copper", "aluminium"),
            Optional.empty());
    String whole = WHOLE.get(Family.SEAL);
    Comparison comparison =
        Comparison.of(
            part(Family.SEAL, whole),
            part(Family.SEAL, whole + "; material=" + material),
            listed,
            RUBBERS);
    assertThat(comparison.forbids()).isEqualTo(forbidden);
    assertThat(comparison.asksForACheck()).isEqualTo(check);
    assertThat(comparison.contradicts()).isFalse();
  }

  /** Every maker counts heat his own way: of two scales the figures say nothing. */
  @Test
  void heatRangesOfTwoScalesAreNotCompared() {
    String whole = WHOLE.get(Family.SPARK_PLUG);
    Comparison comparison =
        Comparison.of(
            part(Family.SPARK_PLUG, whole),
            part(Family.SPARK_PLUG, whole + "; heat_scale=Osmere"),
            Fitting.ANYWHERE,
            RUBBERS);
    assertThat(finding(comparison, "heat_range").agreement()).isEqualTo(Agreement.UNVERIFIED);
    assertThat(comparison.contradicts()).isFalse();
    assertThat(comparison.asksForACheck()).isTrue();
  }

  /** A cover that takes NBR or FKM; copper in the list is for the washer beside it. */
  @ParameterizedTest
  @CsvSource({"NBR, false", "FKM, false", "EPDM, true"})
  void aListOfRubbers(String rubber, boolean forbidden) {
    Fitting listed =
        new Fitting(
            Optional.empty(),
            Optional.empty(),
            false,
            false,
            List.of("copper", "NBR", "FKM"),
            Optional.empty());
    String whole = WHOLE.get(Family.O_RING);
    assertThat(
            Comparison.of(
                    part(Family.O_RING, whole),
                    part(Family.O_RING, whole + "; rubber=" + rubber),
                    listed,
                    RUBBERS)
                .forbids())
        .isEqualTo(forbidden);
  }

  @ParameterizedTest
  @CsvSource({
    "FKM, mineral oil, AGREES, POSITION",
    "EPDM, mineral oil, DIFFERS, POSITION",
    "NBR, ester hydraulic, DIFFERS, CHECK",
    "VMQ, ester hydraulic, UNVERIFIED, POSITION",
    // the table has no row for polyglycol: the same rubber is not verified either
    "NBR, polyglycol, UNVERIFIED, POSITION"
  })
  void aRingInAFluid(String rubber, String fluid, Agreement agreement, Weight weight) {
    Fitting wet =
        new Fitting(
            Optional.empty(), Optional.empty(), false, false, List.of(), Optional.of(fluid));
    String whole = WHOLE.get(Family.O_RING);
    Comparison comparison =
        Comparison.of(
            part(Family.O_RING, whole),
            part(Family.O_RING, whole + "; rubber=" + rubber),
            wet,
            RUBBERS);
    assertThat(finding(comparison, "rubber").agreement()).isEqualTo(agreement);
    assertThat(finding(comparison, "rubber").weight()).isEqualTo(weight);
  }

  @Test
  void wholePartsAgreeWithThemselves() {
    WHOLE.forEach(
        (family, properties) -> {
          Part part = part(family, properties);
          Comparison comparison = Comparison.of(part, part, Fitting.ANYWHERE, RUBBERS);
          assertThat(comparison.forbids()).as(family.words()).isFalse();
          assertThat(comparison.asksForACheck()).as(family.words()).isFalse();
        });
  }

  private static Finding finding(Comparison comparison, String property) {
    return comparison.findings().stream()
        .filter(finding -> finding.property().name().equals(property))
        .findFirst()
        .orElseThrow();
  }
}
