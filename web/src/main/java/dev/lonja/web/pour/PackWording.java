package dev.lonja.web.pour;

import dev.lonja.core.choice.Pack;
import dev.lonja.core.choice.PackChoice;
import dev.lonja.core.choice.PackSet;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Collectors;

/** Puts a choice of packs into words. */
final class PackWording {

  private PackWording() {}

  static PackView.Advice advice(PackChoice.Choice choice, LocalDate day, LocalDate today) {
    PackSet best = choice.best();
    return new PackView.Advice(
        packs(best),
        left(best, day, today),
        best.paid().display(),
        best.pricePerLitreUsed().display() + " a litre used",
        choice.wasteful()
            ? best.wastedSealed().display()
                + " will go out of date before it is used; nothing else covers the need."
            : "",
        choice
            .runnerUp()
            .map(
                next ->
                    packs(next)
                        + ", "
                        + next.paid().display()
                        + ", "
                        + next.over().display()
                        + " over, "
                        + next.pricePerLitreUsed().display()
                        + " a litre used")
            .orElse(""));
  }

  /** "1 × 5.00 L (FA 15-5) + 2 × 1.00 L (FA 15-1)". */
  static String packs(PackSet set) {
    return set.counts().stream()
        .map(
            count ->
                (count.pack().origin() instanceof Pack.Origin.Opened
                        ? "the open "
                        : count.packs() + " × ")
                    + count.pack().litres().display()
                    + " ("
                    + count.pack().number()
                    + ")")
        .collect(Collectors.joining(" + "));
  }

  /** "400 mL stays open until 15 Mar 2028"; empty if nothing is left. */
  static String left(PackSet set, LocalDate day, LocalDate today) {
    if (set.over().microlitres() == 0) {
      return "";
    }
    Optional<Integer> openDays =
        set.counts().stream()
            .flatMap(count -> count.pack().openDays().stream())
            .min(Comparator.naturalOrder());
    return set.over().display()
        + " stays open"
        + openDays.map(days -> " until " + Words.day(day.plusDays(days), today)).orElse("");
  }
}
