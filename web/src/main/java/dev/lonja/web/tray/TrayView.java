package dev.lonja.web.tray;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.wanted.WantedPartId;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/** Everything the tray page shows, in words. */
public record TrayView(
    TrayId id,
    Head head,
    Standing is,
    List<LineRow> lines,
    Job job,
    List<MeterRow> meters,
    Missing missing,
    List<CameRow> came,
    Beside beside) {

  /** What else is open of its machine. */
  public record Beside(List<FindingRow> findings, List<WantedRow> wanted) {}

  /** Something that was found and is not closed. */
  public record FindingRow(String words, String found, State state, String why) {}

  /** A part that is wanted and on no tray. */
  public record WantedRow(WantedPartId id, String amount, String number, String what, String why) {}

  /**
   * Which tray it is, and how far.
   *
   * @param nextBin where the next line lies; empty if none is to be laid
   */
  public record Head(
      String number,
      String unit,
      String title,
      String when,
      String progress,
      State state,
      String nextBin) {}

  /**
   * What may be done to it.
   *
   * @param filters true if filters of it are to be marked
   * @param outdated true if its service takes otherwise by now and nobody has begun to lay it
   */
  public record Standing(
      boolean open,
      boolean ready,
      boolean handedOver,
      boolean back,
      boolean filters,
      boolean outdated,
      long version) {}

  /**
   * What the job would take and nobody has said.
   *
   * @param path where it can be said; empty if nowhere
   */
  public record Missing(List<String> words, String path) {}

  /** What became of a task, once the job is back. */
  public record CameRow(String task, State state, String words) {}

  /** What its tasks ask of the mechanic. */
  public record Job(
      List<TorqueRow> torques, List<String> tools, List<String> hints, List<String> cautions) {}

  /**
   * A line in walking order.
   *
   * @param codes what may be scanned for it, a blank between two: its barcodes and its number's key
   */
  public record LineRow(
      long id,
      ItemId itemId,
      String codes,
      String bin,
      Plate plate,
      Optional<Drum> drum,
      String amount,
      State state,
      What what,
      May may) {}

  /**
   * What a line is for, and what else there is to say of it.
   *
   * @param ways the policies that made it what it is; empty if nothing was to be chosen
   * @param onTheShelf what would do where it is short
   * @param instead what was asked for where something else lies there
   * @param leftOut why what is not laid was left out
   * @param cameBack how much of it came back unused
   * @param condition in which it is taken, unless it is new
   */
  public record What(
      String place,
      String note,
      String ways,
      String onTheShelf,
      Fluid fluid,
      String instead,
      String insteadWhy,
      String leftOut,
      String cameBack,
      String condition) {}

  /**
   * What there is to say of a fluid.
   *
   * @param verdict what the rules say of it, unless it is simply allowed
   * @param keeps that the machine takes something else by now
   * @param packs what it will be taken from; empty where nothing is there
   */
  public record Fluid(String verdict, String keeps, String packs) {}

  /**
   * What may be done with a line.
   *
   * @param leave true if what is not laid may be left out
   * @param loose true for a kit whose parts may be taken loose
   * @param used how many used, good ones may be laid for what it lacks; empty if none
   * @param back what may still come back, if the tray was handed over
   * @param containers out of which of them it may be, where there are several
   * @param ask where it is short, another place that has it
   */
  public record May(
      boolean laid,
      boolean lay,
      boolean replace,
      boolean pour,
      boolean leave,
      boolean loose,
      String used,
      String back,
      List<Container> containers,
      Optional<Ask> ask) {}

  /** A container that a fluid went out in, by the movement by which it did. */
  public record Container(long issue, String words) {}

  /**
   * Another place of the store that may be asked for it.
   *
   * @param from the place that has it, as a form sends it, and {@code to} the place of the tray
   * @param field of the amount in that form
   */
  public record Ask(String from, String to, String field, String amount, String words) {}

  /** How tight a fastener is made. */
  public record TorqueRow(String place, String torque) {}

  /** A meter to be read at the hand-over. */
  public record MeterRow(MeterId id, String name, String measure, String expected) {}
}
