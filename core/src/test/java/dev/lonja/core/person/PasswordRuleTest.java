package dev.lonja.core.person;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PasswordRuleTest {

  private static Optional<PasswordRule.Objection> objection(String password) {
    return PasswordRule.objection(password, Set.of("password1234")::contains);
  }

  @Test
  void twelveCharactersAreEnoughWhateverTheyAre() {
    assertThat(objection("eleven char")).contains(PasswordRule.Objection.TOO_SHORT);
    assertThat(objection("twelve chars")).isEmpty();
    // six characters of two chars each
    assertThat(objection("🐟🐟🐟🐟🐟🐟")).contains(PasswordRule.Objection.TOO_SHORT);
  }

  @Test
  void theHashSeesSeventyTwoBytes() {
    assertThat(objection("a".repeat(72))).isEmpty();
    assertThat(objection("a".repeat(73))).contains(PasswordRule.Objection.TOO_LONG);
    // 37 characters of two bytes
    assertThat(objection("é".repeat(37))).contains(PasswordRule.Objection.TOO_LONG);
  }

  @Test
  void whatPeopleUseIsRefused() {
    assertThat(objection("password1234")).contains(PasswordRule.Objection.EASILY_GUESSED);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "123", "123456789", "12 34", "1111", "4567", "9876", "8901", "12a4"})
  void someDigitsAreNoPin(String typed) {
    assertThat(Pin.of(typed)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"4711", "80213344", " 2580 "})
  void othersAre(String typed) {
    assertThat(Pin.of(typed)).contains(new Pin(typed.strip()));
  }

  @ParameterizedTest
  @CsvSource({"4, PT0S", "5, PT1M", "6, PT2M", "8, PT8M", "9, PT15M", "500, PT15M"})
  void wrongTriesCostTime(int wrong, java.time.Duration wait) {
    assertThat(WaitRule.after(wrong)).isEqualTo(wait);
  }
}
