package dev.lonja.core.person;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PersonNameTest {

  @Test
  void blanksAroundAndInARowGo() {
    assertThat(PersonName.of("  Ana \u00A0 Sol\t")).contains(new PersonName("Ana Sol"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"ana sol", "ANA SOL", "Ana  Sol ", "ａｎａ sol", "Ana\u200B Sol"})
  void namesThatLookAlikeAreOne(String typed) {
    assertThat(PersonName.keyOf(typed)).isEqualTo("ana sol");
    assertThat(PersonName.of(typed).orElseThrow().key()).isEqualTo("ana sol");
  }

  @Test
  void accentsAreComposedBeforeTheyAreCompared() {
    assertThat(PersonName.keyOf("Jose\u0301")).isEqualTo(PersonName.keyOf("JOSÉ"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "  ", "\u200B\u0000"})
  void whatLooksEmptyIsNoName(String typed) {
    assertThat(PersonName.of(typed)).isEmpty();
  }

  @Test
  void sixtyCharactersAreTheMost() {
    assertThat(PersonName.of("n".repeat(60))).isPresent();
    assertThat(PersonName.of("n".repeat(61))).isEmpty();
  }
}
