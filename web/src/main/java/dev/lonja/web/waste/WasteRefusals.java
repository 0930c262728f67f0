package dev.lonja.web.waste;

import dev.lonja.core.cases.Cases;
import dev.lonja.desk.waste.WasteRefusal;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;

/** Says why something was not done with waste. */
final class WasteRefusals {

  static final RefusalWording ALL =
      RefusalWording.of(
          WasteRefusal.class,
          Cases.<WasteRefusal, Problem>over(WasteRefusal.class)
              .when(
                  WasteRefusal.NoSuchContainer.class,
                  none -> Problem.ofWhole("There is no container " + none.id() + "."))
              .when(
                  WasteRefusal.NeverMixed.class,
                  never ->
                      new Problem(
                          "kind",
                          Words.capital(never.other().words())
                              + " does not go into "
                              + never.container().name()
                              + ", where "
                              + never.container().stream().kind().words()
                              + " is gathered: a mixture is dearer to get rid of, or not taken at"
                              + " all. Put it into a container of its own."))
              .when(
                  WasteRefusal.NoRoom.class,
                  full ->
                      new Problem(
                          "amount",
                          full.container().name()
                              + " has room for "
                              + full.room().display()
                              + ", and "
                              + full.asked().display()
                              + " would go in. Have it fetched first."))
              .when(
                  WasteRefusal.InAlready.class,
                  in ->
                      Problem.ofWhole(
                          "What came back of that job as "
                              + in.kind().words()
                              + " is in a container already."))
              .when(
                  WasteRefusal.NoSuchEntry.class,
                  none ->
                      Problem.ofWhole(
                          "That entry counts no more, or the container was fetched since."))
              .when(
                  WasteRefusal.MoreThanFits.class,
                  more ->
                      new Problem(
                          "taken",
                          more.container().name()
                              + " holds "
                              + more.container().capacity().display()
                              + "; "
                              + more.asked().display()
                              + " were never in it."))
              .when(
                  WasteRefusal.NameTaken.class,
                  taken -> new Problem("name", "Another one is called \"" + taken.name() + "\"."))
              .when(
                  WasteRefusal.KindTaken.class,
                  taken ->
                      new Problem(
                          "kind", "There is a stream of " + taken.kind().words() + " already."))
              .when(
                  WasteRefusal.NoSuchStream.class,
                  none -> new Problem("stream", "There is no such stream any more."))
              .all());

  private WasteRefusals() {}
}
