package dev.lonja.store.reference;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fluid.ClassList;
import dev.lonja.core.fluid.Coverage;
import dev.lonja.core.fluid.FluidReference;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The public reference data as they ship, against the standards written down once more here. */
class ReferenceTest {

  private static final FluidReference SHIPPED =
      ReferenceRepository.fluids(ReferenceRepository::shipped);

  /** Everything that covers anything, by hand; whatever is not here covers itself alone. */
  private static final Map<String, String> COVERS =
      Map.ofEntries(
          Map.entry(
              "API SQ",
              "API SP, API SN PLUS, API SN, API SM, API SL, API SJ, API SH, API SG, API SF"),
          Map.entry(
              "API SP", "API SN PLUS, API SN, API SM, API SL, API SJ, API SH, API SG, API SF"),
          Map.entry("API SN PLUS", "API SN, API SM, API SL, API SJ, API SH, API SG, API SF"),
          Map.entry("API SN", "API SM, API SL, API SJ, API SH, API SG, API SF"),
          Map.entry("API SM", "API SL, API SJ, API SH, API SG, API SF"),
          Map.entry("API SL", "API SJ, API SH, API SG, API SF"),
          Map.entry("API SJ", "API SH, API SG, API SF"),
          Map.entry("API SH", "API SG, API SF"),
          Map.entry("API SG", "API SF"),
          Map.entry("API CH-4", "API CG-4, API CF-4, API CE, API CD"),
          Map.entry("API CG-4", "API CF-4, API CE, API CD"),
          Map.entry("API CF-4", "API CE, API CD"),
          Map.entry("API CE", "API CD"),
          Map.entry("API CF", "API CD"),
          Map.entry(
              "API CK-4",
              "API CJ-4, API CI-4 PLUS, API CI-4, API CH-4, API CG-4, API CF-4, API CE, API CD"),
          Map.entry(
              "API CJ-4", "API CI-4 PLUS, API CI-4, API CH-4, API CG-4, API CF-4, API CE, API CD"),
          Map.entry("API CI-4 PLUS", "API CI-4, API CH-4, API CG-4, API CF-4, API CE, API CD"),
          Map.entry("API CI-4", "API CH-4, API CG-4, API CF-4, API CE, API CD"),
          Map.entry("ILSAC GF-7A", "ILSAC GF-6A, ILSAC GF-5, ILSAC GF-4"),
          Map.entry("ILSAC GF-6A", "ILSAC GF-5, ILSAC GF-4"),
          Map.entry("ILSAC GF-5", "ILSAC GF-4"),
          Map.entry("ILSAC GF-7B", "ILSAC GF-6B"),
          Map.entry("ACEA A7/B7", "ACEA A5/B5"),
          Map.entry("ACEA C6", "ACEA C5"),
          Map.entry("ACEA E8", "ACEA E6"),
          Map.entry("ACEA E11", "ACEA E9"),
          Map.entry("JASO MA1", "JASO MA"),
          Map.entry("JASO MA2", "JASO MA"),
          Map.entry("DOT 5.1", "DOT 4, DOT 3"),
          Map.entry("DOT 4", "DOT 3"));

  @Test
  void nothingIsCoveredByAccident() {
    for (ServiceClass serviceClass : SHIPPED.classes().all()) {
      Set<String> covered =
          SHIPPED.coverage().of(serviceClass).stream()
              .map(ServiceClass::text)
              .collect(Collectors.toCollection(TreeSet::new));
      Set<String> expected = new TreeSet<>(Set.of(serviceClass.text()));
      String others = COVERS.getOrDefault(serviceClass.text(), "");
      expected.addAll(Arrays.stream(others.split(", ")).filter(o -> !o.isEmpty()).toList());
      assertThat(covered).as(serviceClass.text()).isEqualTo(expected);
    }
  }

  /** The short old names stand for other things too: a CE mark is no class. */
  @Test
  void theShortOldClassesNeedTheirOrganisation() {
    ClassList classes = SHIPPED.classes();
    for (String old : List.of("SF", "SG", "SH", "CD", "CE", "CF")) {
      assertThat(classes.read(old).claimed()).as(old).isEmpty();
      assertThat(classes.read(old).notUnderstood()).as(old).containsExactly(old);
      assertThat(classes.read("API SN/" + old).claimed())
          .as(old)
          .extracting(ServiceClass::text)
          .containsExactlyInAnyOrder("API SN", "API " + old);
    }
    assertThat(classes.read("CF-4").claimed())
        .extracting(ServiceClass::text)
        .containsExactly("API CF-4");
  }

  @Test
  void everyPairNamesKnownClassesAndNoneRunsInACircle() {
    List<ReferenceRow> rows = ReferenceRepository.shipped(ReferenceFile.CLASS_COVERS);
    ClassList classes =
        ReferenceRepository.classes(ReferenceRepository.shipped(ReferenceFile.SERVICE_CLASSES));
    assertThat(ReferenceRepository.pairs(classes, rows)).hasSameSizeAs(rows);
    assertThat(Coverage.circle(ReferenceRepository.pairs(classes, rows))).isEmpty();
  }

  @Test
  void everyCellIsWhatItsColumnAllows() {
    for (ReferenceFile file : ReferenceFile.values()) {
      List<ReferenceRow> rows = ReferenceRepository.shipped(file);
      assertThat(rows).as(file.fileName()).isNotEmpty();
      assertThat(rows.stream().map(ReferenceRow::key)).as(file.fileName()).doesNotHaveDuplicates();
      for (ReferenceRow row : rows) {
        for (int i = 0; i < row.cells().size(); i++) {
          assertThat(file.columns().get(i).allows(row.cells().get(i)))
              .as("%s %s", file.fileName(), row.cells())
              .isTrue();
        }
      }
    }
  }

  /** SAE J300 cranking, SAE J306 at 150,000 mPa·s. */
  @Test
  void coldLimitsAreThoseOfTheStandards() {
    assertThat(cold(FluidKind.ENGINE_OIL, "0W-20")).isEqualTo("−35 °C");
    assertThat(cold(FluidKind.ENGINE_OIL, "15W-40")).isEqualTo("−20 °C");
    assertThat(cold(FluidKind.ENGINE_OIL, "25W")).isEqualTo("−10 °C");
    assertThat(cold(FluidKind.GEAR_OIL, "70W")).isEqualTo("−55 °C");
    assertThat(cold(FluidKind.GEAR_OIL, "85W-140")).isEqualTo("−12 °C");
  }

  private static String cold(FluidKind kind, String grade) {
    return SHIPPED.grades().coldLimit(kind, new Grade(grade)).orElseThrow().display();
  }

  @Test
  void gradesThatExistAreKnown() {
    for (String grade : List.of("0W-16", "5W-30", "20W-60", "SAE 40", "10W")) {
      assertThat(SHIPPED.grades().isGrade(FluidKind.ENGINE_OIL, new Grade(grade))).isTrue();
    }
    for (String grade : List.of("75W-110", "80W-90", "SAE 250")) {
      assertThat(SHIPPED.grades().isGrade(FluidKind.GEAR_OIL, new Grade(grade))).isTrue();
    }
    assertThat(SHIPPED.grades().isGrade(FluidKind.HYDRAULIC_OIL, new Grade("ISO VG 68"))).isTrue();
    assertThat(SHIPPED.grades().isGrade(FluidKind.GREASE, new Grade("NLGI 000"))).isTrue();
  }
}
