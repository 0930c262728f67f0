package dev.lonja.web.tank;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.tank.Dip;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.tank.TankRefusal;
import dev.lonja.web.book.LedgerWording;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.sign.PersonProblems;
import java.time.Instant;

/** Says why something was not done with a tank. */
final class TankRefusals {

  private final StoreClock clock;

  TankRefusals(StoreClock clock) {
    this.clock = clock;
  }

  RefusalWording all() {
    return LedgerWording.at("why").and(PersonProblems.SECOND).and(ofTanks());
  }

  private RefusalWording ofTanks() {
    return RefusalWording.of(
        TankRefusal.class,
        Cases.<TankRefusal, Problem>over(TankRefusal.class)
            .when(
                TankRefusal.NoSuchTank.class,
                none -> Problem.ofWhole("There is no tank " + none.id() + " any more."))
            .when(
                TankRefusal.AboveTank.class,
                above ->
                    new Problem(
                        "height",
                        "The dip is "
                            + above.height().display()
                            + "; "
                            + above.tank().name()
                            + " is "
                            + above.tank().shape().height().display()
                            + " high. Read it again."))
            .when(
                TankRefusal.DippedAhead.class,
                ahead ->
                    new Problem(
                        "when",
                        "It is "
                            + time(ahead.now())
                            + "; a dip at "
                            + time(ahead.at())
                            + " is still to come."))
            .when(
                TankRefusal.CleanedSince.class,
                since ->
                    new Problem(
                        "when",
                        "The tank was emptied and cleaned at "
                            + time(since.cleaned())
                            + "; a dip counts from then on."))
            .when(
                TankRefusal.NoSuchWarmth.class,
                warmth ->
                    new Problem(
                        "warmth",
                        "The fluid is "
                            + warmth.asked().display()
                            + "; allowed is "
                            + Dip.COLDEST.display()
                            + " to "
                            + Dip.WARMEST.display()
                            + ". Degrees Fahrenheit are written with their F, as 88 F."))
            .when(
                TankRefusal.DippedThen.class,
                then ->
                    new Problem(
                        "when",
                        "There is a dip of "
                            + time(then.at())
                            + " already. Withdraw it if it is"
                            + " wrong."))
            .when(TankRefusal.NoSuchDip.class, none -> Problem.ofWhole("That dip counts no more."))
            .when(
                TankRefusal.NotTheLatest.class,
                none ->
                    Problem.ofWhole(
                        "Meanwhile it was dipped again. Look at the latest dip, then close it."))
            .when(
                TankRefusal.AgreedAlready.class,
                none -> Problem.ofWhole("The difference was closed at this dip; it stands."))
            .when(
                TankRefusal.NotEmpty.class,
                full ->
                    Problem.ofWhole(
                        "By the book "
                            + full.book().display()
                            + " are in "
                            + full.tank().name()
                            + ". Book what became of them first."))
            .when(
                TankRefusal.ChangedMeanwhile.class,
                none ->
                    Problem.ofWhole("Someone else changed this tank meanwhile. Look at it again."))
            .when(
                TankRefusal.NameTaken.class,
                taken -> new Problem("name", "Another tank is called \"" + taken.name() + "\"."))
            .when(
                TankRefusal.NoSuchBin.class,
                none ->
                    new Problem(
                        "bin",
                        "There is no bin \"" + none.address() + "\". Write one such as T-1."))
            .when(
                TankRefusal.BinTaken.class,
                taken ->
                    new Problem("bin", taken.by().name() + " stands at " + taken.address() + "."))
            .when(
                TankRefusal.BinHoldsOther.class,
                other ->
                    new Problem(
                        "bin",
                        other.other().number() + " lies at " + other.address() + " and not in it."))
            .when(
                TankRefusal.NoBulkFluid.class,
                none ->
                    new Problem(
                        "item", "A tank holds a fluid that is bought in packs of 60 L or more."))
            .when(
                TankRefusal.NotCleaned.class,
                not ->
                    new Problem(
                        "item",
                        not.tank().name()
                            + " holds something else until it is emptied and cleaned, and that is"
                            + " recorded."))
            .when(
                TankRefusal.TooSmall.class,
                small ->
                    new Problem(
                        "safe",
                        "So it is filled up to "
                            + small.safeFill().display()
                            + "; by the book "
                            + small.book().display()
                            + " are in it."))
            .all());
  }

  private String time(Instant at) {
    return Words.day(clock.dayOf(at), clock.today()) + ", " + clock.timeOf(at);
  }
}
