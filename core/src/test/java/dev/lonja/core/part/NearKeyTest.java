package dev.lonja.core.part;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What an oily label makes of a number. */
class NearKeyTest {

  @ParameterizedTest
  @CsvSource({
    // the example of the rules: leading zeros go
    "OS107, 5107",
    "05107, 5107",
    "BIZ6, 8126",
    "GL50, 6150",
    "000, 0",
    "O, 0",
    "KD4107B, KD41078"
  })
  void marksThatLookAlikeCountAsOne(String key, String near) {
    assertThat(PartKey.of(key).orElseThrow().near()).isEqualTo(near);
  }

  @ParameterizedTest
  @CsvSource({
    "PL4107, PL4117, true",
    "PL4107, PL410, true",
    "PL4107, PL41O7B, false",
    "PL4107, PL41078, true",
    "PL4107, PL4170, true",
    "PL4107, PL1407, true",
    "PL4107, PL4071, false",
    "PL4107, PL4107, false",
    "PL4107, XL4108, false",
    "AAB12, AB12, true",
    "AB123, BA123, true"
  })
  void oneEditAway(String one, String other, boolean away) {
    PartKey a = PartKey.of(one).orElseThrow();
    PartKey b = PartKey.of(other).orElseThrow();
    assertThat(a.isOneEditFrom(b)).isEqualTo(away);
    assertThat(b.isOneEditFrom(a)).isEqualTo(away);
  }
}
