package dev.lonja.core.mixture;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Temperature;
import java.math.BigDecimal;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a circuit wants of ethylene glycol, −22 °C at 0.40, −34 at 0.50 and −48 at 0.60. */
class WantedShareTest {

  private static final Optional<FreezeTable> ETHYLENE =
      FreezeTable.read("0 0; 0.1 -3; 0.2 -8; 0.3 -14; 0.4 -22; 0.5 -34; 0.6 -48");

  private static Optional<Temperature> celsius(String degrees) {
    return Optional.of(Temperature.ofCelsius(new BigDecimal(degrees)));
  }

  private static MixPolicy store(String coldest) {
    return new MixPolicy(MixPolicy.USUAL_COOLANT, celsius(coldest));
  }

  private static Protection stated(String degrees, String share) {
    return new Protection(
        degrees.isEmpty() ? Optional.empty() : celsius(degrees),
        share.isEmpty() ? Optional.empty() : Optional.of(new BigDecimal(share)));
  }

  private static WantedShare coolant(Protection stated, MixPolicy policy) {
    return WantedShare.of(WantedShare.Kind.COOLANT, stated, policy, ETHYLENE).orElseThrow();
  }

  /** At 10 °C the coldest, half protects to −34; at −32 °C it takes what reaches −37: 0.5215. */
  @Test
  void withoutABookItIsTheStoresShareOrItsFrost() {
    WantedShare mild = coolant(Protection.UNSAID, store("10"));
    assertThat(mild.share()).isEqualByComparingTo("0.5");
    assertThat(mild.cause()).isEqualTo(WantedShare.Cause.STORE);
    assertThat(mild.protectsTo()).isEqualTo(celsius("-34"));
    WantedShare cold = coolant(Protection.UNSAID, store("-32"));
    assertThat(cold.share()).isEqualByComparingTo("0.5215");
    assertThat(cold.cause()).isEqualTo(WantedShare.Cause.FROST);
  }

  /** A book that asks for −22 and 0.45 gets 0.45; one for −40 and 0.45 what reaches −40. */
  @Test
  void ofTwoThingsInABookTheStrongerCounts() {
    assertThat(coolant(stated("-22", "0.45"), store("-32")).share()).isEqualByComparingTo("0.45");
    // 6 of 14 degrees between 0.50 and 0.60, rounded up
    assertThat(coolant(stated("-40", "0.45"), store("10")).share()).isEqualByComparingTo("0.5429");
  }

  /** −8 °C would need 0.20, but corrosion asks for a third; a book that says 0.25 is obeyed. */
  @Test
  void corrosionComesBeforeFrost() {
    WantedShare third = coolant(stated("-8", ""), store("10"));
    assertThat(third.share()).isEqualByComparingTo("0.33");
    assertThat(third.cause()).isEqualTo(WantedShare.Cause.CORROSION);
    assertThat(third.protectsTo()).isEqualTo(celsius("-16.4"));
    assertThat(coolant(stated("", "0.25"), store("10")).share()).isEqualByComparingTo("0.25");
  }

  /** Screen wash at −4 °C the coldest protects to −9: 1 of 6 degrees between 0.20 and 0.30. */
  @Test
  void screenWashFollowsTheFrost() {
    WantedShare wash =
        WantedShare.of(WantedShare.Kind.SCREEN_WASH, Protection.UNSAID, store("-4"), ETHYLENE)
            .orElseThrow();
    assertThat(wash.share()).isEqualByComparingTo("0.2167");
    assertThat(
            WantedShare.of(
                WantedShare.Kind.SCREEN_WASH, Protection.UNSAID, MixPolicy.USUAL, ETHYLENE))
        .isEmpty();
  }

  @Test
  void whatNoMixtureReachesIsNotPromised() {
    assertThat(
            WantedShare.of(WantedShare.Kind.COOLANT, stated("-60", ""), MixPolicy.USUAL, ETHYLENE))
        .isEmpty();
    WantedShare unknown =
        WantedShare.of(
                WantedShare.Kind.COOLANT, Protection.UNSAID, MixPolicy.USUAL, Optional.empty())
            .orElseThrow();
    assertThat(unknown.share()).isEqualByComparingTo("0.5");
    assertThat(unknown.protectsTo()).isEmpty();
  }
}
