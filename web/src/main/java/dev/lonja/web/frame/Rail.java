package dev.lonja.web.frame;

import dev.lonja.web.frame.FrameView.RailEntry;
import java.util.List;

/** The views in the order of the work. Each keeps its key, so hands need not learn anew. */
final class Rail {

  private static final RailEntry FLEET = new RailEntry("fleet", "Fleet", "/fleet", "truck", "2");
  private static final RailEntry FIND = new RailEntry("find", "Find", "/find", "search", "3");
  private static final RailEntry TRAYS = new RailEntry("trays", "Trays", "/trays", "inbox", "5");

  private static final List<RailEntry> STORE =
      List.of(
          new RailEntry("today", "Today", "/", "layout-grid", "1"),
          FLEET,
          FIND,
          new RailEntry("oils", "Oils", "/oils", "droplet", "4"),
          TRAYS,
          new RailEntry("ahead", "Ahead", "/ahead", "waves", "6"),
          new RailEntry("buy", "Buy", "/buy", "anchor", "7"),
          new RailEntry("stores", "Stores", "/stores", "boxes", "8"),
          new RailEntry("book", "Book", "/book", "book-open", "9"),
          new RailEntry("setup", "Setup", "/setup", "settings-2", "0"));

  private static final List<RailEntry> WORKSHOP = List.of(FLEET, FIND, TRAYS);

  private Rail() {}

  static List<RailEntry> forStore() {
    return STORE;
  }

  static List<RailEntry> forWorkshop() {
    return WORKSHOP;
  }
}
