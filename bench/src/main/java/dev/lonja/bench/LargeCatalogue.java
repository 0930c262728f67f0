package dev.lonja.bench;

import dev.lonja.app.demo.DemoStore;
import dev.lonja.core.crossref.Source;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.crossref.StatementList;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.Random;

/**
 * The demo store with 200,000 more parts and 500,000 statements on them. Parts come in groups of
 * some ten to twenty that a real filter would have as numbers, and now and then a supplier mixes
 * two groups up. Half of the parts are stocked.
 */
final class LargeCatalogue {

  static final int PARTS = 200_000;
  static final int STATEMENTS = 500_000;

  private static final long SEED = 200_000;
  private static final String[] MAKES = {
    "Pellam",
    "Ravelin",
    "Nortrap",
    "Tamisco",
    "Osmere",
    "Corvane",
    "Tessaly",
    "Quillon",
    "Brannoch",
    "Veldmark"
  };

  private LargeCatalogue() {}

  /** The part with this place in the catalogue: its number is unlike its neighbours'. */
  static String number(int part) {
    return String.format("%c%c %05d-%d", 'A' + part % 23, 'A' + part % 19, part / 2, part % 10);
  }

  static String make(int part) {
    return MAKES[part % MAKES.length];
  }

  /** A list of so many rows with a fixed seed, as a supplier would send it. */
  static Path list() {
    try {
      Path file = Files.createTempFile("lonja-catalogue", ".csv");
      Random random = new Random(SEED);
      try (BufferedWriter out = Files.newBufferedWriter(file)) {
        out.write("make,number,kind,other_make,other_number,confidence,note\r\n");
        int written = 0;
        for (int round = 0; written < STATEMENTS; round++) {
          int part = round % PARTS;
          int group = part / 15 * 15;
          int other = group + random.nextInt(15);
          if (random.nextInt(50) == 0) {
            other = random.nextInt(PARTS);
          }
          if (other != part && other < PARTS) {
            out.write(row(part, other, random));
            written++;
          }
        }
      }
      return file;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String row(int part, int other, Random random) {
    int dice = random.nextInt(100);
    // only from the higher to the lower, so that no circle arises
    String kind =
        dice < 15 ? "same" : dice < 85 ? "interchange" : dice < 95 ? "stands_in" : "never";
    if (dice == 84 && part > other) {
      kind = "replaces";
    }
    return String.join(
            ",",
            make(part),
            number(part),
            kind,
            make(other),
            number(other),
            kind.equals("never") ? "1" : "0.9" + random.nextInt(9),
            kind.equals("never") ? "other bypass" : "")
        + "\r\n";
  }

  /** Takes a list into a store as the page of lists does: checked, then written whole. */
  static int takeIn(LonjaStore store, Path list) {
    return store.write(
        session -> {
          StatementList lists = session.statements().list();
          var checked =
              lists.check(
                  list, new StatementList.Origin(Source.SUPPLIER, LargeFleet.TODAY), rows -> {});
          if (checked.problemCount() > 0) {
            throw new IllegalStateException(checked.problems().get(0).display());
          }
          lists.write(checked, "bench", Instant.parse("2027-03-15T06:00:00Z"), rows -> {});
          return checked.fresh().size();
        });
  }

  /** A demo store in a folder of its own. */
  static LonjaStore demo() {
    try {
      LonjaStore store =
          LonjaStore.open(Files.createTempDirectory("lonja-bench").resolve("lonja.db"));
      DemoStore.create(store, LargeFleet.TODAY);
      return store;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Stocks every second part of the catalogue, and says how high each is. */
  static void stockHalf(Path database) {
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + database);
        Statement statement = connection.createStatement()) {
      connection.setAutoCommit(false);
      String half = " FROM part WHERE family IS NULL AND id % 2 = 0";
      statement.execute(
          "INSERT INTO part_property (part_id, property, value) SELECT id, 'height', 80 + id % 3"
              + half);
      statement.execute(
          "INSERT INTO item (part_id, description, measure, home_bin_id)"
              + " SELECT id, 'One of many', 'pc', 1 + id % 80"
              + half);
      statement.execute(
          "UPDATE part SET family = 'PANEL_AIR_FILTER' WHERE family IS NULL AND id % 2 = 0");
      statement.execute(
          "INSERT INTO lot (item_id, code, received_on) SELECT id, 'L1', '2027-01-04' FROM item"
              + " WHERE description = 'One of many'");
      statement.execute(
          "INSERT INTO request VALUES ('bench-catalogue', '', '', 'bench', '2027-03-15T06:00:00Z')");
      statement.execute(
          "INSERT INTO movement (item_id, lot_id, bin_id, kind, quantity_micro, value_minor,"
              + " average_e4, reason, reference, request_key, line_no, actor, recorded_at)"
              + " SELECT item_id, lot.id, home_bin_id, 'RECEIPT', 4000000, 4000, 10000000, '', '',"
              + " 'bench-catalogue', lot.id, 'bench', '2027-03-15T06:00:00Z'"
              + " FROM lot JOIN item ON item.id = item_id WHERE description = 'One of many'");
      connection.commit();
      statement.execute("ANALYZE");
      connection.commit();
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }
}
