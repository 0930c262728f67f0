package dev.lonja.desk.tray;

import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.item.Item;
import dev.lonja.core.pour.TopUp;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.KitRange;
import dev.lonja.core.tray.TaskBond;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.desk.fluid.FluidObjection;
import dev.lonja.desk.request.Refusal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** Why nothing was done to a tray. */
public sealed interface TrayRefusal extends Refusal {

  /** Nothing is planned for the unit on that day any more. */
  record NothingPlanned(String unit, LocalDate day) implements TrayRefusal {}

  /** The tray is not open any more. */
  record NotOpen() implements TrayRefusal {}

  /** None of the tasks is chosen, or all are, or one that may not be. */
  record ChooseSome() implements TrayRefusal {}

  /** Two tasks would be parted of which neither can be laid without the other. */
  record Bound(TaskBond bond) implements TrayRefusal {}

  /** Two tasks would be parted of which one kit covers something. */
  record InOneKit(Item kit) implements TrayRefusal {}

  /** The line is no kit that a service took. */
  record NoKit() implements TrayRefusal {}

  /** By policy only parts of the machine's maker go there. */
  record OtherMake(Item item, String make) implements TrayRefusal {}

  /** The line is no longer on an open tray. */
  record NoSuchLine() implements TrayRefusal {}

  /** What was scanned holds no letter and no digit. */
  record NoNumber(String code) implements TrayRefusal {}

  /** No item has this number. */
  record UnknownNumber(String code) implements TrayRefusal {}

  /** What was scanned is somebody's badge. */
  record IsBadge(String name) implements TrayRefusal {}

  /** Nothing of the item is out with this tray. */
  record NotOut(Item item) implements TrayRefusal {}

  /** Nothing went out with the tray in such a container. */
  record NoSuchContainer() implements TrayRefusal {}

  /** What is poured does not come back by the piece; somebody says how much. */
  record HowMuch(Item item) implements TrayRefusal {}

  /** New ones and used ones of it went out; somebody says which came back. */
  record NewOrUsed(Item item) implements TrayRefusal {}

  /** No used, good piece of it is free, or the line does not lack any. */
  record NoUsed(Item item) implements TrayRefusal {}

  /** Of what the line brings for a wanted part all is used, or all is new. */
  record AllOrNone(Item item) implements TrayRefusal {}

  /** From there nothing came off that may be kept. */
  record NothingCameOff(long lineId) implements TrayRefusal {}

  /** Something is kept of work that was not done. */
  record KeptWithoutWork(long lineId) implements TrayRefusal {}

  /** Not whole pieces, or more of them than went in there. */
  record MoreCameOff(long lineId, Quantity pieces, Quantity most) implements TrayRefusal {}

  /** No item has the number of what is kept. */
  record KeptUnknown(long lineId, String number) implements TrayRefusal {}

  /** Several makes have the number of what is kept. */
  record KeptOfSeveralMakes(long lineId, String number, List<Item> items) implements TrayRefusal {}

  /** What is kept is not used again. */
  record KeptWaste(long lineId, Item item) implements TrayRefusal {}

  /** The item is not on this tray. */
  record NotOnTray(Item item) implements TrayRefusal {}

  /** Several makes have this number, so somebody has to say which it is. */
  record SeveralMakes(String code, List<Item> items) implements TrayRefusal {}

  /** Nobody asked for the item, but it may stand in on a line. */
  record StandsIn(Item item, TrayLine line) implements TrayRefusal {}

  /** Somebody said that it may stand in at a place, and it does not fit there. */
  record DoesNotFitThere(String place, Candidate candidate) implements TrayRefusal {}

  /**
   * It is not known to fit, so somebody has to say what it is for.
   *
   * @param places of the machine that take such parts
   * @param candidate the verdict at the first of them of which anybody has said anything
   */
  record SayWhatFor(String unit, Item item, List<String> places, Optional<Candidate> candidate)
      implements TrayRefusal {}

  /**
   * A kit is not made for the machine, or not known to be, or something in it is not known to go
   * there, so somebody has to say what it is for.
   *
   * @param ranges what it is made for
   * @param pieces what stands against each thing in it against which anything does
   */
  record KitAsks(
      String unit,
      Item kit,
      KitRange.Answer answer,
      List<KitRange> ranges,
      List<TrayRefusal> pieces)
      implements TrayRefusal {

    public KitAsks {
      ranges = List.copyOf(ranges);
      pieces = List.copyOf(pieces);
    }
  }

  /** A filter that fits at none of the machine's places for such filters. */
  record FitsNowhere(String unit, Item item, List<String> places, Optional<Candidate> candidate)
      implements TrayRefusal {}

  /** A tray for a service is started from what is planned. */
  record NotByHand() implements TrayRefusal {}

  /** No such unit is in service. */
  record UnknownUnit(String code) implements TrayRefusal {}

  /** The place where it is to be laid is not there any more. */
  record UnknownPlace() implements TrayRefusal {}

  /** What the workshop itself uses is for no unit, and all else is for one. */
  record UnitAgainstPurpose(TrayPurpose purpose) implements TrayRefusal {}

  /** It is for a day that is past, or too far ahead. */
  record OutsidePlan(LocalDate day, LocalDate first, LocalDate last) implements TrayRefusal {}

  /** The wanted part is for another machine, on a tray already or dropped. */
  record NotWantedHere() implements TrayRefusal {}

  /** The item is laid in full already. */
  record LaidInFull(Item item) implements TrayRefusal {}

  /** The item is not known. */
  record UnknownItem() implements TrayRefusal {}

  /** The quantity is not above zero, or of what is counted no whole number. */
  record BadQuantity(Quantity wanted) implements TrayRefusal {}

  /** No compartment of its kind takes the fluid. */
  record NoCompartmentTakes(String unit, FluidObjection why) implements TrayRefusal {}

  /**
   * No compartment of its kind takes the fluid without a signature; somebody says into which it
   * goes, and signs there.
   *
   * @param why of the first of them
   * @param compartments that take it with one
   */
  record IntoWhich(String unit, FluidObjection why, List<Compartment> compartments)
      implements TrayRefusal {

    public IntoWhich {
      compartments = List.copyOf(compartments);
    }
  }

  /** The fluid may not go into a compartment, whoever signs. */
  record MayNotGoInto(Compartment compartment, FluidObjection why) implements TrayRefusal {}

  /** The machine has no such compartment that holds fluids of this kind. */
  record NoSuchCompartment(String unit, Item item) implements TrayRefusal {}

  /** Somebody has to sign before it is laid. */
  record LacksSignature(FluidLine line) implements TrayRefusal {}

  /** Less is free than wanted. */
  record NotFree(String place, Quantity wanted, Quantity free) implements TrayRefusal {}

  /** Nobody has said that this item may stand in. */
  record NobodySaidSo() implements TrayRefusal {}

  /** It does not fit at this place. */
  record DoesNotFit(Candidate candidate) implements TrayRefusal {}

  /** Somebody changed the tray since its page was shown. */
  record Changed() implements TrayRefusal {}

  /** The PIN is not that of who takes the tray, or there were too many wrong ones. */
  record NotTheirPin(String who) implements TrayRefusal {}

  /** Not every line is laid. */
  record NotAllLaid() implements TrayRefusal {}

  /** The tray is not handed over. */
  record NotHandedOver() implements TrayRefusal {}

  /** The tray is back; that is undone first. */
  record IsBack() implements TrayRefusal {}

  /** What it went out without lies on another tray by now. */
  record OnAnotherTray(String number) implements TrayRefusal {}

  /** Something was found wrong, and there is no machine. */
  record NoMachine() implements TrayRefusal {}

  /** The tray is not back. */
  record NotBack() implements TrayRefusal {}

  /** The day is not one from the hand-over to today. */
  record OutsideJob(LocalDate day, LocalDate first, LocalDate last) implements TrayRefusal {}

  /** Nobody says whether it was done. */
  record NothingSaid(Task task) implements TrayRefusal {}

  /** It was looked at, and nobody says what was found. */
  record NothingFound(Task task) implements TrayRefusal {}

  /** An inspection cannot have found what is said of it. */
  record FoundWrong(Task task, Found.Objection why) implements TrayRefusal {}

  /** It is asked for again on a day that is past. */
  record AgainInPast(TaskId taskId, LocalDate day, LocalDate today) implements TrayRefusal {}

  /** Something was poured where no fluid was changed. */
  record PouredWithoutWork(CompartmentId compartmentId) implements TrayRefusal {}

  /**
   * The line brought no fluid for such a compartment of the machine, or the tray has no such line.
   */
  record AddedNowhere(long lineId) implements TrayRefusal {}

  /** More was added than went out and did not come back. */
  record MoreAdded(long lineId, Volume litres, Quantity out) implements TrayRefusal {}

  /** Something speaks against what was added, and nothing is noted as found. */
  record AddedDoubtful(long lineId, Item item, Compartment place, List<TopUp.Concern> concerns)
      implements TrayRefusal {}

  /** So much of it is on the machine's record as added, so that only the rest can come back. */
  record WasAdded(Volume added, Quantity left) implements TrayRefusal {}
}
