package dev.lonja.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.grade.Climate;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.grade.GradeChart;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.grade.GradeTable;
import dev.lonja.core.grade.Window;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Approval codes, grades, charts and families. */
class CodesAndGradesTest {

  private static ApprovalCode code(String text) {
    return new ApprovalCode(text);
  }

  @Test
  void punctuationOfACodeCounts() {
    assertThat(code("CV 41.2").isSameAs(code("cv41.2"))).isTrue();
    assertThat(code("CV 41.2").isSameAs(code("ＣＶ 41.2"))).isTrue();
    assertThat(code("CV 41.2").isSameAs(code("CV 4.12"))).isFalse();
  }

  /** Equal letters and digits, one swap, one edit; two edits are another code altogether. */
  @ParameterizedTest
  @CsvSource({
    "CV 41.2, CV 4.12, true",
    "VK-205, VK-250, true",
    "BR-H3, BR-H8, true",
    "VK-205, VK-2055, true",
    "VK-205, VK-251, false",
    "VK-205, vk-205, false"
  })
  void nearMisses(String one, String other, boolean near) {
    assertThat(code(one).isNearMissOf(code(other))).isEqualTo(near);
  }

  @ParameterizedTest
  @CsvSource({
    "SAE 15W-40, 15w40, true",
    "ISO VG 46, 46, true",
    "VG 46, VG 32, false",
    "15W-40, 5W-40, false"
  })
  void gradesCompareWithoutTheirTrimmings(String one, String other, boolean same) {
    assertThat(new Grade(one).isSameAs(new Grade(other))).isEqualTo(same);
  }

  @Test
  void aLabelMayNameSeveralGrades() {
    assertThat(Grade.all("80W-90 / 85W-90"))
        .containsExactly(new Grade("80W-90"), new Grade("85W-90"));
    assertThat(Grade.all(" ")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "ENGINE_OIL, 15W-40, true",
    "ENGINE_OIL, SAE 30, true",
    "ENGINE_OIL, 10W, true",
    "ENGINE_OIL, 12W-40, false",
    "ENGINE_OIL, 15W-41, false",
    "ENGINE_OIL, VG 46, false",
    "ENGINE_OIL, good, false",
    "GEAR_OIL, 80W-90, true",
    "GEAR_OIL, 15W-40, false",
    "HYDRAULIC_OIL, VG 46, true",
    "HYDRAULIC_OIL, VG 47, false",
    "GREASE, NLGI 2, true",
    "COOLANT, VG 46, false"
  })
  void whatIsAGrade(FluidKind kind, String grade, boolean is) {
    assertThat(Fluids.REFERENCE.grades().isGrade(kind, new Grade(grade))).isEqualTo(is);
  }

  @Test
  void theColdLimitIsThatOfTheWinterGrade() {
    GradeTable grades = Fluids.REFERENCE.grades();
    assertThat(grades.coldLimit(FluidKind.ENGINE_OIL, new Grade("15W-40")))
        .contains(Fluids.celsius("-20"));
    assertThat(grades.coldLimit(FluidKind.GEAR_OIL, new Grade("80W-90")))
        .contains(Fluids.celsius("-26"));
    assertThat(grades.coldLimit(FluidKind.ENGINE_OIL, new Grade("SAE 30"))).isEmpty();
  }

  @Test
  void everythingWrongWithAChartIsNamed() {
    GradeRow inverted = Fluids.row("15W-40", "40", "-15");
    GradeRow first = Fluids.row("10W-40", "-25", "20");
    GradeRow second = Fluids.row("SAE 10W-40", "20", "40");
    GradeRow wrong = Fluids.row("15W-41", "", "");
    GradeChart chart = new GradeChart(List.of(inverted, first, second, wrong));
    assertThat(chart.problems(FluidKind.ENGINE_OIL, Fluids.REFERENCE.grades()))
        .containsExactly(
            new GradeChart.Problem.Inverted(inverted),
            new GradeChart.Problem.Overlapping(second, first),
            new GradeChart.Problem.NotAGrade(new Grade("15W-41")));
  }

  /** Two ranges of one grade with a gap are two seasons; other grades may lie over each other. */
  @Test
  void rangesThatMeetNowhereAreSound() {
    GradeChart chart =
        new GradeChart(
            List.of(
                Fluids.row("10W-40", "-25", "19.9"),
                Fluids.row("10W-40", "20", ""),
                Fluids.row("15W-40", "", "45")));
    assertThat(chart.problems(FluidKind.ENGINE_OIL, Fluids.REFERENCE.grades())).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"P-OAT, P_OAT", "p-hoat, P_OAT", "Si-OAT, SI_OAT", "IAT, IAT"})
  void familiesOnLabels(String label, Chemistry family) {
    assertThat(Chemistry.ofLabel(label)).contains(family);
  }

  @Test
  void plainHoatIsUnknown() {
    assertThat(Chemistry.ofLabel("HOAT")).isEqualTo(Optional.empty());
  }

  @Test
  void blanksAndBrokenRangesAreRefused() {
    assertThatThrownBy(() -> new ApprovalCode(" ")).hasMessageContaining("VK-205");
    assertThatThrownBy(() -> new Grade("")).hasMessageContaining("15W-40");
    assertThatThrownBy(() -> new Window.Range(Fluids.celsius("5"), Fluids.celsius("4.9")))
        .hasMessageContaining("4.9");
    assertThatThrownBy(() -> new Climate(List.of())).hasMessageContaining("12");
  }
}
