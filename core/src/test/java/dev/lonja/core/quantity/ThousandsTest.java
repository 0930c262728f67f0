package dev.lonja.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ThousandsTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "0; 0",
        "7; 7",
        "999; 999",
        "1000; 1,000",
        "12345; 12,345",
        "999999; 999,999",
        "1000000; 1,000,000",
        "-7; -7",
        "-999; -999",
        "-1000; -1,000",
        "9223372036854775807; 9,223,372,036,854,775,807",
        "-9223372036854775808; -9,223,372,036,854,775,808",
      })
  void aCommaStandsBeforeEachGroupOfThree(long number, String text) {
    assertThat(Thousands.apart(number)).isEqualTo(text);
  }
}
