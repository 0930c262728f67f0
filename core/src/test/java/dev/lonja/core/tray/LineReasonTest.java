package dev.lonja.core.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.mixture.Mix;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.take.TakeLine;
import java.math.BigDecimal;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a line remembers of why the service took it. */
class LineReasonTest {

  /** The condition is the one the compartment is filled in, whichever capacity is on file. */
  private static final Mix MIX =
      new Mix(new BigDecimal("0.5"), Volume.ofLitres("3.2"), Optional.empty(), false);

  @Test
  void aFillKeepsItsConditionAndHowItIsPoured() {
    FirstPour pour = new FirstPour(Volume.ofLitres("5.7"), Volume.ofLitres("0.3"));
    TakeLine.Reason fill =
        new TakeLine.Reason.Fill(
            FillCondition.WITHOUT_FILTER,
            FillCondition.WITH_FILTER,
            Capacity.ofLitres("6"),
            Optional.of(Volume.ofLitres("0.5")),
            BigDecimal.ZERO,
            pour,
            Optional.of(MIX));
    assertThat(LineReason.of(fill))
        .isEqualTo(new LineReason.Fill(FillCondition.WITH_FILTER, pour, Optional.of(MIX)));
  }

  @Test
  void partsKeepWhatToWatchFor() {
    assertThat(LineReason.of(new TakeLine.Reason.Part("oil the gasket")))
        .isEqualTo(new LineReason.Part("oil the gasket"));
    assertThat(LineReason.of(new TakeLine.Reason.NewSeal("Sump", "copper")))
        .isEqualTo(new LineReason.NewSeal("copper"));
    assertThat(LineReason.of(new TakeLine.Reason.OnInspection(ReplacementChance.UNKNOWN, "look")))
        .isEqualTo(new LineReason.OnInspection("look"));
  }
}
