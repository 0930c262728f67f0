package dev.lonja.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SpreadsheetCellTest {

  @ParameterizedTest
  @ValueSource(strings = {"=1+1", "+cmd", "-2+3", "@SUM(A1)", "\t=1", "\r=1", "＝1+1"})
  void whatWouldBeReadAsAFormulaIsText(String cell) {
    assertThat(SpreadsheetCell.of(cell)).isEqualTo("'" + cell);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "PL 309", "-12.5", "+4", "a=b", "2027-03-15"})
  void anythingElseStays(String cell) {
    assertThat(SpreadsheetCell.of(cell)).isEqualTo(cell);
  }
}
