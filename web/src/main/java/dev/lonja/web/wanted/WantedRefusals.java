package dev.lonja.web.wanted;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.wanted.Finding;
import dev.lonja.desk.wanted.WantedRefusal;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.tray.TrayRefusals;
import java.time.LocalDate;
import java.util.stream.Collectors;

/** Why nothing was noted of a finding or a wanted part, in words. */
final class WantedRefusals {

  static final RefusalWording WORDS =
      RefusalWording.of(
              WantedRefusal.class,
              Cases.<WantedRefusal, Problem>over(WantedRefusal.class)
                  .when(
                      WantedRefusal.UnknownUnit.class,
                      none -> new Problem("unit", "No unit " + none.code() + " is in service."))
                  .when(
                      WantedRefusal.OutsideService.class,
                      out ->
                          new Problem(
                              "day",
                              "The day is "
                                  + out.day()
                                  + "; allowed is from the start of service, "
                                  + out.first()
                                  + ", to today, "
                                  + out.last()
                                  + "."))
                  .when(
                      WantedRefusal.UnknownNumber.class,
                      none ->
                          new Problem(
                              "code",
                              "No item has the number \""
                                  + none.code()
                                  + "\". Note a finding until it is known which part it is."))
                  .when(
                      WantedRefusal.SeveralMakes.class,
                      several ->
                          new Problem(
                              "code",
                              "\""
                                  + several.code()
                                  + "\" is a number of "
                                  + several.items().stream()
                                      .map(item -> item.make() + " (" + item.description() + ")")
                                      .collect(Collectors.joining(" and of "))
                                  + ". Scan the barcode."))
                  .when(
                      WantedRefusal.BadQuantity.class,
                      bad ->
                          new Problem(
                              "quantity",
                              "The quantity is "
                                  + bad.quantity().exactText()
                                  + "; allowed is "
                                  + (bad.quantity().isCountable()
                                      ? "more than 0."
                                      : "whole pieces.")))
                  .when(WantedRefusal.NeededOutside.class, WantedRefusals::outside)
                  .when(
                      WantedRefusal.NotNow.class,
                      not ->
                          Problem.ofWhole(
                              "Somebody said meanwhile what becomes of that finding, so it is not "
                                  + (not.wanted() == Finding.State.WANTED
                                      ? "wanted for"
                                      : not.wanted().name().toLowerCase())
                                  + "; look at it again."))
                  .when(
                      WantedRefusal.NotOpen.class,
                      not -> Problem.ofWhole("That part is on a tray by now, or was dropped."))
                  .all())
          .and(TrayRefusals.WORDS);

  private WantedRefusals() {}

  private static Problem outside(WantedRefusal.NeededOutside out) {
    return new Problem("needed", days(out.day(), out.first(), out.last()));
  }

  private static String days(LocalDate day, LocalDate first, LocalDate last) {
    return "The day is " + day + "; allowed is today, " + first + ", to " + last + ".";
  }
}
