package dev.lonja.web.work;

import dev.lonja.core.cases.Cases;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.service.WorkRefusal;
import dev.lonja.web.inspection.FoundWording;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.meter.ReadingWording;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;

/** Why work is not noted, in words. */
final class WorkRefusals {

  static final RefusalWording WORDS =
      RefusalWording.of(
              WorkRefusal.class,
              Cases.<WorkRefusal, Problem>over(WorkRefusal.class)
                  .when(
                      WorkRefusal.UnknownUnit.class,
                      none -> Problem.ofWhole("No unit " + none.code() + " is in service."))
                  .when(
                      WorkRefusal.NothingDone.class,
                      none -> new Problem(WorkForm.DONE, "Tick what was done."))
                  .when(
                      WorkRefusal.UnknownTask.class,
                      none -> Problem.ofWhole("The unit has not all of these tasks any more."))
                  .when(
                      WorkRefusal.OutsideService.class,
                      out ->
                          new Problem(
                              WorkForm.DAY,
                              "The day is "
                                  + out.day()
                                  + "; allowed is from the start of service, "
                                  + out.first()
                                  + ", to today, "
                                  + out.last()
                                  + "."))
                  .when(
                      WorkRefusal.NoReading.class,
                      none ->
                          new Problem(
                              MeterEntry.field(none.meterId()),
                              "\"" + none.task().name() + "\" counts by it; say what it showed."))
                  .when(
                      WorkRefusal.FoundWrong.class,
                      wrong ->
                          new Problem(
                              WorkForm.taskField(wrong.task().id()),
                              FoundWording.why(wrong.task(), wrong.why())))
                  .when(
                      WorkRefusal.DoneThatDay.class,
                      twice ->
                          new Problem(
                              WorkForm.taskField(twice.task().id()),
                              "\""
                                  + twice.task().name()
                                  + "\" is on record for "
                                  + twice.day()
                                  + " already."))
                  .when(
                      WorkRefusal.OutWithTray.class,
                      out ->
                          new Problem(
                              WorkForm.taskField(out.task().id()),
                              "Tray "
                                  + out.tray()
                                  + " is out for \""
                                  + out.task().name()
                                  + "\"; take that back instead."))
                  .when(
                      WorkRefusal.NoSuchTask.class,
                      none ->
                          Problem.ofWhole(none.unit() + " has no task \"" + none.name() + "\"."))
                  .when(
                      WorkRefusal.SeveralTasks.class,
                      several ->
                          Problem.ofWhole(
                              several.unit()
                                  + " has several tasks \""
                                  + several.name()
                                  + "\"; write its service before it, such as \"Small service: "
                                  + several.name()
                                  + "\"."))
                  .when(
                      WorkRefusal.TwoReadings.class,
                      two ->
                          Problem.ofWhole(
                              "What is said of "
                                  + two.unit()
                                  + " on "
                                  + two.day()
                                  + " gives one meter two readings."))
                  .when(
                      WorkRefusal.NotOnFile.class,
                      none -> Problem.ofWhole("That record is not on file any more."))
                  .when(
                      WorkRefusal.OfTray.class,
                      of ->
                          Problem.ofWhole(
                              "That came with tray " + of.tray() + "; undo its taking back there."))
                  .all())
          .and(
              RefusalWording.of(
                  ReadingRefusal.class,
                  reading ->
                      new Problem(
                          MeterEntry.field(reading.meterId()), ReadingWording.why(reading))));

  private WorkRefusals() {}
}
