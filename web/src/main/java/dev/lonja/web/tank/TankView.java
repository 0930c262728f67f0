package dev.lonja.web.tank;

import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;

/** What pages show of tanks. */
public final class TankView {

  private TankView() {}

  /**
   * A tank among the others.
   *
   * @param holds what is in it, in words
   * @param now how much, as it lies
   * @param lasts for how long
   * @param coming by open orders, each with its day
   * @param states what is to be seen of it
   * @param wide true if it lies
   */
  public record Card(
      long id,
      String name,
      String holds,
      String drawing,
      String now,
      String room,
      String lasts,
      List<String> coming,
      List<State> states,
      boolean wide) {}

  /**
   * A tank by itself.
   *
   * @param full what it holds to the brim and as far as it is ever filled
   * @param book what the book says, and how far that is from the dip
   * @param notes what else is to be known
   * @param spans between dips, the latest first
   * @param close what can be closed now
   * @param metered what its pour meter counted
   */
  public record One(
      Card card,
      Plate plate,
      String bin,
      String full,
      String book,
      List<String> notes,
      List<Span> spans,
      List<Dip> dips,
      Close close,
      Metered metered) {}

  /**
   * What the pour meter counted.
   *
   * @param words how that stands against what is written down; empty if it counted nothing
   * @param latest the latest first
   */
  public record Metered(String words, State state, List<Poured> latest) {}

  /** One count of a pour meter. */
  public record Poured(String when, String litres) {}

  /** Between two dips. */
  public record Span(
      String when,
      String came,
      String poured,
      String should,
      String is,
      String difference,
      State state) {}

  /** A dip. */
  public record Dip(
      long id,
      String when,
      String height,
      String litres,
      String warmth,
      String how,
      boolean open) {}

  /**
   * What closing the difference at the latest dip would do.
   *
   * @param words empty if there is nothing to close
   */
  public record Close(long dip, String words) {
    static final Close NOTHING = new Close(0, "");
  }
}
