package dev.lonja.core.mixture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Ethylene glycol: 0 °C at 0, −3 at 0.10, −8 at 0.20, −14 at 0.30, −22 at 0.40, −34 at 0.50. */
class MixtureTest {

  private static final FreezeTable ETHYLENE =
      FreezeTable.read("0 0; 0.1 -3; 0.2 -8; 0.3 -14; 0.4 -22; 0.5 -34; 0.6 -48").orElseThrow();

  private static Temperature celsius(String degrees) {
    return Temperature.ofCelsius(new BigDecimal(degrees));
  }

  private static BigDecimal share(String share) {
    return new BigDecimal(share);
  }

  /** Halfway between 0.40 and 0.50 is halfway between −22 and −34. */
  @ParameterizedTest
  @CsvSource({"0.5, -34", "0.45, -28", "0.33, -16.4", "0, 0"})
  void betweenRowsItIsLinear(BigDecimal share, String freezesAt) {
    assertThat(ETHYLENE.freezesAt(share)).contains(celsius(freezesAt));
  }

  /** −25 lies 3 of 12 degrees below −22: 0.425. −25.1 asks for 0.4259 when rounded up. */
  @ParameterizedTest
  @CsvSource({"-34, 0.5", "-25, 0.425", "-25.1, 0.4259", "5, 0", "-48, 0.6"})
  void theSmallestShareThatProtects(String wanted, BigDecimal share) {
    assertThat(ETHYLENE.shareFor(celsius(wanted)).orElseThrow()).isEqualByComparingTo(share);
  }

  @Test
  void outsideTheTableNothingIsPromised() {
    assertThat(ETHYLENE.freezesAt(share("0.61"))).isEmpty();
    assertThat(ETHYLENE.shareFor(celsius("-48.1"))).isEmpty();
    assertThat(ETHYLENE.shareAt(celsius("1"))).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "0.5 -34",
        "0.5 -34; 0.4 -22",
        "0.4 -22; 0.5 -22",
        "0.5 -34; 1.1 -50",
        "half -34; 1 -50",
        ""
      })
  void aTableThatRisesOrIsNoneIsNotRead(String text) {
    assertThat(FreezeTable.read(text)).isEmpty();
  }

  @Test
  void aTableIsWrittenAsItIsRead() {
    assertThat(FreezeTable.read("0.33 -18.5;0.50 −36").orElseThrow().written())
        .isEqualTo("0.33 -18.5; 0.5 -36");
  }

  /** 14.5 L at 0.50 from the concentrate: 7.25 L and as much water; from 0.45 it cannot be. */
  @Test
  void aFreshFill() {
    Mixture half =
        Mixture.fresh(Volume.ofLitres("14.5"), share("0.5"), BigDecimal.ONE).orElseThrow();
    assertThat(half.product()).isEqualTo(Volume.ofLitres("7.25"));
    assertThat(half.water()).isEqualTo(Volume.ofLitres("7.25"));
    assertThat(Mixture.fresh(Volume.ofLitres("14.5"), share("0.5"), share("0.45"))).isEmpty();
  }

  /** From 0.50 ready mixed for 0.40: 10 L take 8 L of it and 2 L of water. */
  @Test
  void whatIsReadyMixedMayBeThinned() {
    Mixture thin = Mixture.fresh(Volume.ofLitres("10"), share("0.4"), share("0.5")).orElseThrow();
    assertThat(thin.product()).isEqualTo(Volume.ofLitres("8"));
    assertThat(thin.water()).isEqualTo(Volume.ofLitres("2"));
  }

  /**
   * Of 14.5 L, 9 L were drained: 7.25 L of concentrate and 1.75 L of water. If only 6 L ran out,
   * the best is 6 / 14.5 = 0.4137, all of it concentrate.
   */
  @Test
  void waterThatStayedInCountsAfterAFlush() {
    Volume total = Volume.ofLitres("14.5");
    Mixture room =
        Mixture.afterFlush(total, Volume.ofLitres("9"), share("0.5"), BigDecimal.ONE).orElseThrow();
    assertThat(room.product()).isEqualTo(Volume.ofLitres("7.25"));
    assertThat(room.water()).isEqualTo(Volume.ofLitres("1.75"));
    Mixture best =
        Mixture.afterFlush(total, Volume.ofLitres("6"), share("0.5"), BigDecimal.ONE).orElseThrow();
    assertThat(best.product()).isEqualTo(Volume.ofLitres("6"));
    assertThat(best.water()).isEqualTo(Volume.ZERO);
    assertThat(best.share()).isEqualByComparingTo("0.4137");
  }

  /** Measured −14 °C is 0.30; to 0.50: 14.5 × 0.20 / 0.70 = 4.142857 L out and concentrate in. */
  @Test
  void aFillIsPutRight() {
    BigDecimal present = ETHYLENE.shareAt(celsius("-14")).orElseThrow();
    Mixture stronger =
        Mixture.putRight(Volume.ofLitres("14.5"), present, share("0.5"), BigDecimal.ONE)
            .orElseThrow();
    assertThat(stronger.drain()).isEqualTo(new Volume(4_142_857));
    assertThat(stronger.product()).isEqualTo(stronger.drain());
    assertThat(stronger.water()).isEqualTo(Volume.ZERO);
  }

  /** From 0.60 to 0.50 in 12 L: 12 × 0.10 / 0.60 = 2 L out and water in. */
  @Test
  void aFillThatIsTooStrongIsThinned() {
    Mixture weaker =
        Mixture.putRight(Volume.ofLitres("12"), share("0.6"), share("0.5"), BigDecimal.ONE)
            .orElseThrow();
    assertThat(weaker.water()).isEqualTo(Volume.ofLitres("2"));
    assertThat(weaker.product()).isEqualTo(Volume.ZERO);
  }

  @Test
  void whatIsTooWeakPutsNothingRight() {
    assertThat(Mixture.putRight(Volume.ofLitres("12"), share("0.3"), share("0.5"), share("0.45")))
        .isEmpty();
    assertThat(Mixture.putRight(Volume.ofLitres("12"), share("0.5"), share("0.5"), share("0.45")))
        .map(Mixture::drain)
        .contains(Volume.ZERO);
  }

  @Test
  void aStoreThinsNoCoolantBelowAThird() {
    assertThatThrownBy(() -> new MixPolicy(share("0.32"), Optional.empty()))
        .hasMessageContaining("0.33 to 0.60");
  }
}
