package dev.lonja.web.tray;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.tray.Tightening;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.tray.TrayFile;
import java.util.Optional;

/** How what a tray's job screws on is tightened, in words. */
public final class TighteningWording {

  private TighteningWording() {}

  /** How the work at a position of the job ends, with what lies on the tray for it. */
  public static Optional<Tightening> of(TrayFile file, Position position) {
    return Tightening.of(
        file.job().needs(),
        position,
        file.lines().stream()
            .map(line -> line.step().line())
            .filter(line -> line.positionId().equals(Optional.of(position.id())))
            .map(TrayLine::itemId)
            .findFirst());
  }

  /** "3/4 turn after the gasket touches"; empty for a torque. */
  public static Optional<String> words(Tightening way) {
    if (way instanceof Tightening.ByTurns turns) {
      return Optional.of(
          turns
              .printed()
              .map(printed -> printed + " turn after the gasket touches")
              .orElse("turn after contact as the filter or its box says"));
    }
    return way instanceof Tightening.ByHand
        ? Optional.of("by hand, without a tool")
        : Optional.empty();
  }
}
