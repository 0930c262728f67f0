package dev.lonja.web.tray;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.web.book.LedgerWording;
import dev.lonja.web.crossref.CandidateWording;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.fluid.TopUpWording;
import dev.lonja.web.inspection.FoundWording;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.meter.ReadingWording;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.sign.PersonProblems;
import dev.lonja.web.tank.DispenserRefusals;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Why nothing was done to a tray, in words. */
public final class TrayRefusals {

  private static final Cases<TrayRefusal, Problem> REFUSED =
      Cases.<TrayRefusal, Problem>over(TrayRefusal.class)
          .when(
              TrayRefusal.NothingPlanned.class,
              none ->
                  Problem.ofWhole(
                      "Nothing is planned for "
                          + none.unit()
                          + " on "
                          + none.day()
                          + " any more. Look at its due dates again."))
          .when(
              TrayRefusal.NotOpen.class,
              closed -> Problem.ofWhole("This tray is not open any more."))
          .when(
              TrayRefusal.ChooseSome.class,
              none ->
                  new Problem(
                      "task",
                      "Choose tasks that no other tray stands for; to split a tray some of its own,"
                          + " not all."))
          .when(
              TrayRefusal.Bound.class,
              bound ->
                  new Problem(
                      "task",
                      "\""
                          + bound.bond().fluid().name()
                          + "\" and \""
                          + bound.bond().filter().name()
                          + "\" stay together: how much goes in depends on the filter."))
          .when(
              TrayRefusal.InOneKit.class,
              in ->
                  new Problem(
                      "task",
                      in.kit().number()
                          + " covers something of both. Take its parts loose first, or keep them"
                          + " together."))
          .when(
              TrayRefusal.NoKit.class,
              none -> Problem.ofWhole("That line is no kit of this tray's service."))
          .when(
              TrayRefusal.OtherMake.class,
              other ->
                  new Problem(
                      "itemId",
                      other.item().make()
                          + " "
                          + other.item().number()
                          + " is not of "
                          + other.make()
                          + ", and by the policy in force only the machine maker's go there."))
          .when(
              TrayRefusal.NoSuchLine.class,
              gone -> Problem.ofWhole("That line is no longer on an open tray."))
          .when(
              TrayRefusal.NoNumber.class,
              none -> code("\"" + none.code() + "\" holds no letter and no digit. Scan a number."))
          .when(
              TrayRefusal.UnknownNumber.class,
              none -> code("No item has the number \"" + none.code() + "\"."))
          .when(
              TrayRefusal.IsBadge.class,
              badge ->
                  code(
                      "That is the badge of "
                          + badge.name()
                          + ". Not every line is laid; lay the rest, or leave it out."))
          .when(
              TrayRefusal.NotOut.class,
              not -> code("Nothing of " + not.item().number() + " is out with this tray."))
          .when(
              TrayRefusal.HowMuch.class,
              much ->
                  code(
                      much.item().number()
                          + " is poured. Type at its line how much came back, and press Enter."))
          .when(
              TrayRefusal.NewOrUsed.class,
              both ->
                  code(
                      "New and used pieces of "
                          + both.item().number()
                          + " went out. Take it back at its line."))
          .when(
              TrayRefusal.NoUsed.class,
              none ->
                  code("No used, good " + none.item().number() + " is free that it still lacks."))
          .when(
              TrayRefusal.AllOrNone.class,
              all ->
                  code(
                      "What is wanted of "
                          + all.item().number()
                          + " goes out as one: there are not enough used ones."))
          .when(
              TrayRefusal.NothingCameOff.class,
              none -> Problem.ofWhole("Nothing came off there that may be kept."))
          .when(
              TrayRefusal.KeptWithoutWork.class,
              kept ->
                  new Problem(
                      TakeBackForm.conditionField(kept.lineId()),
                      "That work was not done, so nothing came off."))
          .when(
              TrayRefusal.MoreCameOff.class,
              more ->
                  new Problem(
                      TakeBackForm.piecesField(more.lineId()),
                      "Kept are "
                          + more.pieces().exactText()
                          + "; allowed are whole ones, up to "
                          + more.most().exactText()
                          + ", as many as went in."))
          .when(
              TrayRefusal.KeptUnknown.class,
              none ->
                  new Problem(
                      TakeBackForm.numberField(none.lineId()),
                      "No item has the number \"" + none.number() + "\"."))
          .when(
              TrayRefusal.KeptOfSeveralMakes.class,
              several ->
                  new Problem(
                      TakeBackForm.numberField(several.lineId()),
                      "\""
                          + several.number()
                          + "\" is a number of "
                          + several.items().stream()
                              .map(item -> item.make())
                              .collect(Collectors.joining(" and of "))
                          + ". Scan the barcode."))
          .when(
              TrayRefusal.KeptWaste.class,
              waste ->
                  new Problem(
                      TakeBackForm.numberField(waste.lineId()),
                      waste.item().number() + " is not used again; it is waste."))
          .when(
              TrayRefusal.NotOnTray.class,
              not -> code(not.item().number() + " is not on this tray. Open it to put it on."))
          .when(
              TrayRefusal.SeveralMakes.class,
              several ->
                  code(
                      "\""
                          + several.code()
                          + "\" is a number of "
                          + several.items().stream()
                              .map(item -> item.make() + " (" + item.description() + ")")
                              .collect(Collectors.joining(" and of "))
                          + ". Scan the barcode, or tick the line."))
          .when(
              TrayRefusal.StandsIn.class,
              stands ->
                  code(
                      stands.item().number()
                          + " is not asked for, but may stand in for "
                          + stands.line().place()
                          + ". Choose it there with a reason."))
          .when(
              TrayRefusal.DoesNotFitThere.class,
              not ->
                  code(
                      not.candidate().part().number()
                          + " is not on this tray and does not fit "
                          + not.place()
                          + ": "
                          + String.join("; ", CandidateWording.reasons(not.candidate()))
                          + "."))
          .when(
              TrayRefusal.SayWhatFor.class,
              ask -> new Problem("why", asked(ask) + " Say what it is for, and it is put on."))
          .when(TrayRefusal.KitAsks.class, KitAskWording::of)
          .when(
              TrayRefusal.FitsNowhere.class,
              not ->
                  new Problem(
                      "quantity",
                      not.item().number()
                          + against(not.unit(), not.places(), not.candidate())
                          + " A filter goes only where it fits; for another machine start a tray of"
                          + " its own."))
          .when(
              TrayRefusal.NotByHand.class,
              not -> new Problem("purpose", "A service's tray starts from what is planned."))
          .when(
              TrayRefusal.UnknownUnit.class,
              none -> new Problem("unit", "No unit " + none.code() + " is in service."))
          .when(
              TrayRefusal.UnknownPlace.class,
              none -> new Problem("at", "That place is not there any more. Choose one."))
          .when(
              TrayRefusal.UnitAgainstPurpose.class,
              against ->
                  new Problem(
                      "unit",
                      against.purpose() == TrayPurpose.SUPPLIES
                          ? "What the workshop itself uses is for no unit; leave it empty."
                          : "Say which unit it is for."))
          .when(
              TrayRefusal.OutsidePlan.class,
              out ->
                  new Problem(
                      "day",
                      "The day is "
                          + out.day()
                          + "; allowed is today, "
                          + out.first()
                          + ", to "
                          + out.last()
                          + "."))
          .when(
              TrayRefusal.NotWantedHere.class,
              not ->
                  Problem.ofWhole(
                      "That part is on a tray by now, or dropped, or for another machine."))
          .when(
              TrayRefusal.OnAnotherTray.class,
              on ->
                  Problem.ofWhole(
                      "What it went out without lies on tray "
                          + on.number()
                          + " by now. Put that tray back on the shelves first."))
          .when(
              TrayRefusal.NoMachine.class,
              none -> new Problem("found", "This tray was for no machine."))
          .when(
              TrayRefusal.LaidInFull.class,
              full -> code(full.item().number() + " is laid in full already."))
          .when(TrayRefusal.UnknownItem.class, none -> Problem.ofWhole("That item is not known."))
          .when(TrayRefusal.BadQuantity.class, TrayRefusals::badQuantity)
          .when(
              TrayRefusal.NoCompartmentTakes.class,
              none ->
                  new Problem(
                      "quantity",
                      "No compartment of "
                          + none.unit()
                          + " takes it. "
                          + FluidAdvice.words(none.why())))
          .when(
              TrayRefusal.IntoWhich.class,
              into ->
                  new Problem(
                      "into",
                      "No compartment of "
                          + into.unit()
                          + " takes it without a signature. "
                          + FluidAdvice.words(into.why())
                          + " On a tray of "
                          + into.unit()
                          + ", say into which compartment it goes, and it is signed for there."))
          .when(
              TrayRefusal.MayNotGoInto.class,
              not ->
                  new Problem(
                      "into", not.compartment().name() + ": " + FluidAdvice.words(not.why())))
          .when(
              TrayRefusal.NoSuchCompartment.class,
              none ->
                  new Problem(
                      "into",
                      none.unit() + " has no such compartment for " + none.item().number() + "."))
          .when(
              TrayRefusal.NoSuchContainer.class,
              none -> new Problem("back", "Nothing of it is out with this tray any more."))
          .when(
              TrayRefusal.LacksSignature.class,
              line ->
                  code(
                      line.line().line().place()
                          + " "
                          + FluidLineWording.words(line.line())
                          + ". Nothing was laid."))
          .when(
              TrayRefusal.NotFree.class,
              not ->
                  code(
                      not.place()
                          + ": "
                          + not.wanted().display()
                          + " wanted, "
                          + not.free().display()
                          + " free. Nothing was laid."))
          .when(
              TrayRefusal.NobodySaidSo.class,
              nobody -> new Problem("itemId", "Nobody has said that this item may stand in here."))
          .when(
              TrayRefusal.DoesNotFit.class,
              not ->
                  new Problem(
                      "itemId",
                      not.candidate().part().number()
                          + " does not fit here: "
                          + String.join("; ", CandidateWording.reasons(not.candidate()))
                          + "."))
          .when(
              TrayRefusal.Changed.class,
              changed ->
                  Problem.ofWhole(
                      "The tray has changed since this form was shown; what is on it now stands"
                          + " above. Look it through and hand over again."))
          .when(
              TrayRefusal.NotTheirPin.class,
              not ->
                  new Problem(
                      "pin",
                      "That is not the PIN of \""
                          + not.who()
                          + "\", or there were too many wrong ones; then wait a minute."))
          .when(
              TrayRefusal.NotAllLaid.class,
              not ->
                  Problem.ofWhole(
                      "Not every line is laid. Lay the rest, or leave it out; something has to be"
                          + " on the tray."))
          .when(
              TrayRefusal.NotHandedOver.class,
              not -> Problem.ofWhole("This tray is not handed over."))
          .when(
              TrayRefusal.IsBack.class,
              back -> Problem.ofWhole("This job is back. Undo the taking back first."))
          .when(TrayRefusal.NotBack.class, not -> Problem.ofWhole("This job is not back."))
          .when(
              TrayRefusal.OutsideJob.class,
              outside ->
                  new Problem(
                      TakeBackForm.DAY,
                      "The day is "
                          + outside.day()
                          + "; allowed is from the hand-over, "
                          + outside.first()
                          + ", to today, "
                          + outside.last()
                          + "."))
          .when(
              TrayRefusal.NothingSaid.class,
              none ->
                  new Problem(
                      TakeBackForm.taskField(none.task().id()),
                      "Say whether \"" + none.task().name() + "\" was done."))
          .when(
              TrayRefusal.NothingFound.class,
              none ->
                  new Problem(
                      TakeBackForm.taskField(none.task().id()),
                      "Say what \"" + none.task().name() + "\" found, or that it was not done."))
          .when(
              TrayRefusal.FoundWrong.class,
              wrong ->
                  new Problem(
                      TakeBackForm.taskField(wrong.task().id()),
                      FoundWording.why(wrong.task(), wrong.why())))
          .when(
              TrayRefusal.AgainInPast.class,
              past ->
                  new Problem(
                      TakeBackForm.againField(past.taskId()),
                      past.day() + " is past; allowed is today, " + past.today() + ", or later."))
          .when(
              TrayRefusal.PouredWithoutWork.class,
              poured ->
                  new Problem(
                      TakeBackForm.pouredField(poured.compartmentId()),
                      "Its fluid was not changed, so nothing was poured for that; a top-up is noted"
                          + " under Oils."))
          .when(
              TrayRefusal.AddedNowhere.class,
              added ->
                  new Problem(
                      TakeBackForm.intoField(added.lineId()),
                      "Nothing of it is out with this tray, or it is not for that compartment."))
          .when(
              TrayRefusal.MoreAdded.class,
              more ->
                  new Problem(
                      TakeBackForm.addedField(more.lineId()),
                      more.litres().display()
                          + " are more than went out and did not come back, "
                          + more.out().display()
                          + "."))
          .when(
              TrayRefusal.WasAdded.class,
              was ->
                  new Problem(
                      "back",
                      was.added().display()
                          + " of it are on the machine's record as topped up: at most "
                          + was.left().display()
                          + " can come back."))
          .when(
              TrayRefusal.AddedDoubtful.class,
              doubt ->
                  new Problem(
                      TakeBackForm.intoField(doubt.lineId()),
                      doubt.item().number()
                          + " in "
                          + doubt.place().name()
                          + ": "
                          + doubt.concerns().stream()
                              .map(TopUpWording::line)
                              .collect(Collectors.joining("; "))
                          + ". If it is in there, say under what was found what is to be done."))
          .all();

  /** At the fields of the tray's page. */
  public static final RefusalWording WORDS =
      RefusalWording.of(TrayRefusal.class, REFUSED)
          .and(DispenserRefusals.at("code"))
          .and(LedgerWording.at("back"))
          .and(PersonProblems.SECOND)
          .and(RefusalWording.of(ReadingRefusal.class, TrayRefusals::reading));

  private TrayRefusals() {}

  static String asked(TrayRefusal.SayWhatFor ask) {
    return ask.item().number() + against(ask.unit(), ask.places(), ask.candidate());
  }

  /** " fits at none of RT-04's places for it (oil filter): thread differs." */
  private static String against(String unit, List<String> places, Optional<Candidate> candidate) {
    String where = unit + "'s places for such parts (" + String.join(", ", places) + ")";
    return candidate
        .map(
            said ->
                (said.verdict() == Verdict.DOES_NOT_FIT ? " does not fit at " : " may fit at ")
                    + where
                    + ": "
                    + String.join("; ", CandidateWording.reasons(said))
                    + ".")
        .orElse(" is not known to fit at " + where + ".");
  }

  private static Problem code(String text) {
    return new Problem("code", text);
  }

  private static Problem badQuantity(TrayRefusal.BadQuantity bad) {
    return new Problem(
        "quantity",
        "The quantity is "
            + bad.wanted().exactText()
            + "; allowed is "
            + (bad.wanted().isCountable() ? "more than 0." : "whole pieces."));
  }

  private static Problem reading(ReadingRefusal refusal) {
    return new Problem(MeterEntry.field(refusal.meterId()), ReadingWording.why(refusal));
  }
}
