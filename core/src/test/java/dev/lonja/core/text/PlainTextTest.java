package dev.lonja.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PlainTextTest {

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "FA 15-205",
        "two\nlines\tand a tab",
        "Óleo nº 3 – 5 µm, ½ in",
        "日本語",
        // a joiner where a script needs it
        "می\u200Cخواهم"
      })
  void whatIsSeenStays(String text) {
    assertThat(PlainText.of(text)).isEqualTo(text);
    assertThat(PlainText.isPlain(text)).isTrue();
  }

  @Test
  void whatCannotBeSeenGoes() {
    assertThat(PlainText.of("a\u0000b\u0007c\u001Bd\u007Fe")).isEqualTo("abcde");
    assertThat(PlainText.of("\uFEFFPL-3\u200B09\u00AD")).isEqualTo("PL-309");
    assertThat(PlainText.of("in\u202Eside out\u2066")).isEqualTo("inside out");
    assertThat(PlainText.of("a\u200Db")).isEqualTo("ab");
    assertThat(PlainText.isPlain("a\u0000b")).isFalse();
  }

  @Test
  void halfACharacterGoes() {
    assertThat(PlainText.of("a\uD83Db")).isEqualTo("ab");
  }

  @Test
  void otherSpacesBecomeTheUsualOne() {
    assertThat(PlainText.of("5\u00A0L\u2009each")).isEqualTo("5 L each");
  }

  @ParameterizedTest
  @ValueSource(strings = {" ", "\t\n", "\u00A0\u3000", "\u200B", "\u2028", "\u0000 \u2060"})
  void whatLooksEmptyIsEmpty(String text) {
    assertThat(PlainText.of(text)).isEmpty();
    assertThat(PlainText.isPlain(text)).isFalse();
  }
}
