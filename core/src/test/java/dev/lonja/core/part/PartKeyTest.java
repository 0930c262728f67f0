package dev.lonja.core.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PartKeyTest {

  /** Rules §2, with its example first; full-width letters and superscripts fold under NFKC. */
  @ParameterizedTest
  @CsvSource({
    "kd 41-07/b, KD4107B",
    "PL  4107-B, PL4107B",
    "ＰＬ ４１０７, PL4107",
    "m²0, M20",
    "Cu 14×18×1.5, CU14X18X15",
    "cu 14x18X1.5, CU14X18X15",
    "straße 5, STRASSE5",
    "  05107 , 05107"
  })
  void keepsLettersAndDigitsInUpperCase(String printed, String key) {
    assertThat(PartKey.of(printed)).map(PartKey::text).contains(key);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", " ", "-/.", "…"})
  void isNeverEmpty(String printed) {
    assertThat(PartKey.of(printed)).isEmpty();
  }

  @Test
  void lookAlikeLettersStayApart() {
    assertThat(PartKey.of("OS107")).isNotEqualTo(PartKey.of("05107"));
  }

  @Test
  void onlyAKeyIsAKey() {
    assertThatThrownBy(() -> new PartKey("PL 4107")).hasMessageContaining("text is \"PL 4107\"");
  }
}
