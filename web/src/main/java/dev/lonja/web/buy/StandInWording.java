package dev.lonja.web.buy;

import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.item.Item;
import dev.lonja.desk.crossref.StandIns;
import dev.lonja.desk.order.OrderRefusal;
import java.util.List;
import java.util.stream.Collectors;

/** Says how one thing does in place of another. */
final class StandInWording {

  private static final int FEW = 4;

  private StandInWording() {}

  /**
   * "Pellam PL 88-F4 fits wherever RV 2210-4 goes (RT-04 Fuel filter)." or with the places at which
   * it has to be looked at.
   */
  static String verdict(Item ordered, StandIns.StandIn standIn) {
    String name = name(standIn.item());
    if (standIn.places().isEmpty()) {
      return standIn.verdict() == Verdict.FITS
          ? name + " fits in place of " + ordered.number() + "."
          : name + " in place of " + ordered.number() + ": " + standIn.verdict().words() + ".";
    }
    if (standIn.verdict() == Verdict.FITS) {
      return name
          + " fits wherever "
          + ordered.number()
          + " goes ("
          + places(standIn.places())
          + ").";
    }
    List<StandIns.AtPlace> worst =
        standIn.places().stream().filter(at -> at.verdict() == standIn.verdict()).toList();
    return name
        + " in place of "
        + ordered.number()
        + ": "
        + standIn.verdict().words()
        + " at "
        + places(worst)
        + (worst.size() < standIn.places().size()
            ? ", and better at the other " + (standIn.places().size() - worst.size())
            : "")
        + ".";
  }

  static String doesNot(OrderRefusal.DoesNotFit not) {
    return not.standIn()
            .map(standIn -> verdict(not.ordered(), standIn))
            .orElseGet(
                () ->
                    "No source offers "
                        + name(not.came())
                        + " in place of "
                        + not.ordered().number()
                        + ".")
        + " Claim it as the wrong thing, or take it in at its item.";
  }

  /** The first few of them. */
  private static String places(List<StandIns.AtPlace> places) {
    String few =
        places.stream()
            .limit(FEW)
            .map(at -> at.unit().code() + " " + at.position().name())
            .collect(Collectors.joining(", "));
    return places.size() > FEW ? few + " and " + (places.size() - FEW) + " more" : few;
  }

  private static String name(Item item) {
    return item.make() + " " + item.number();
  }
}
