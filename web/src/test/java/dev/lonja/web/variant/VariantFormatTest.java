package dev.lonja.web.variant;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Intervals by fluid as they are typed and shown again. */
class VariantFormatTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "E9: 30000, 12 months|E9: 30000, 12 months",
        "E9:30000|E9: 30000",
        "GL-5 : 1500.5|GL-5: 1500.5",
        "E9: 18 months|E9: 18 months",
        "E9: 1 month|E9: 1 month"
      })
  void whatIsTypedIsReadAndShown(String typed, String shown) {
    assertThat(VariantFormat.whileIn(typed).map(VariantFormat::words)).contains(shown);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "E9",
        "E9:",
        "E9: 0",
        "E9: 241 months",
        "E9: 0 months",
        ": 500",
        "E9: -5",
        "E9 500"
      })
  void whatCannotBeReadIsRefused(String typed) {
    assertThat(VariantFormat.whileIn(typed)).isEmpty();
  }
}
