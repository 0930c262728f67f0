package dev.lonja.web.place;

import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * The map of the shelves.
 *
 * @param racks in walking order
 */
public record ShelfView(String summary, List<OneRack> racks) {

  /**
   * A rack with its bins in walking order.
   *
   * @param place the satellite, before its first rack; else empty
   * @param bins as they are drawn
   */
  public record OneRack(String place, String name, String bins) {}

  /**
   * A bin opened.
   *
   * @param before the address of the bin before it; empty for the first
   * @param states what is to be seen of it
   */
  public record Opened(
      String address,
      String rack,
      String before,
      String after,
      String counted,
      List<State> states,
      List<Thing> things) {}

  /**
   * Something that lies in a bin or belongs there.
   *
   * @param holds the least and most that the bin is to hold of it; empty if nothing is said
   * @param home true if it is at home here
   */
  public record Thing(
      Plate plate, String description, String there, String holds, boolean home, List<Lot> lots) {}

  /** A lot of it. */
  public record Lot(String code, String quantity, String received, State state) {}

  /** The map on paper. */
  public record Paper(String day, List<PaperRack> racks) {}

  /**
   * A rack on paper, its bins in walking order.
   *
   * @param name with the satellite that it stands in
   */
  public record PaperRack(String name, List<PaperBin> bins) {}

  /** A bin on paper. */
  public record PaperBin(String address, List<PaperThing> things) {}

  /** What is found in a bin. */
  public record PaperThing(String number, String description) {}
}
