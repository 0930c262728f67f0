package dev.lonja.bench;

import dev.lonja.app.demo.DemoStore;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.LonjaStore;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * The demo store with many more machines: each like one that is there, with daily readings of every
 * meter and one record of every task. Made once with a fixed seed, then copied.
 */
final class LargeFleet {

  static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  private static final long SEED = 5_000;

  private static final int LONGEST_AGO = 160;

  private LargeFleet() {}

  /** A unit of the demo that others are made like. */
  private record Pattern(long classId, long variantId, List<PatternMeter> meters) {}

  private record PatternMeter(String name, String measure, double perDay) {}

  /**
   * A folder of its own with a store of so many units with so many readings each, as a server that
   * once ran has left it.
   */
  static Path folder(int units, int readings) {
    try {
      Path made = Path.of(System.getProperty("java.io.tmpdir"), name(units, readings));
      if (!Files.exists(made)) {
        Path working = Files.createTempDirectory("lonja-large").resolve("working.db");
        try (LonjaStore store = LonjaStore.open(working)) {
          DemoStore.create(store, TODAY);
        }
        fill(working, units, readings);
        try (LonjaStore store = LonjaStore.open(working)) {
          store.read(session -> FleetPicture.load(session, TODAY));
          store.keepDigests();
          store.backUpTo(made);
        }
      }
      Path folder = Files.createTempDirectory("lonja-bench");
      Files.copy(made, folder.resolve("lonja.db"));
      return folder;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String name(int units, int readings) {
    return "lonja-large-" + units + "-" + readings + ".db";
  }

  private static void fill(Path database, int units, int readings) {
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + database)) {
      connection.setAutoCommit(false);
      List<Pattern> patterns = patterns(connection);
      Random random = new Random(SEED);
      try (PreparedStatement reading =
          connection.prepareStatement(
              "INSERT INTO reading (meter_id, read_on, value_tenths, source, actor, recorded_at)"
                  + " VALUES (?, ?, ?, 'IMPORTED', 'bench', '2027-03-15T06:00:00Z')")) {
        for (int i = 1; i <= units; i++) {
          Pattern pattern = patterns.get(i % patterns.size());
          long unit = unit(connection, String.format("XL-%05d", i), pattern);
          for (PatternMeter meter : pattern.meters()) {
            long id = meter(connection, unit, meter);
            read(reading, id, meter.perDay(), readings, random);
          }
        }
      }
      records(connection, Math.min(LONGEST_AGO, readings));
      connection.commit();
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  private static List<Pattern> patterns(Connection connection) throws SQLException {
    List<Pattern> patterns = new ArrayList<>();
    try (Statement statement = connection.createStatement();
        ResultSet rows =
            statement.executeQuery(
                "SELECT min(id), class_id, variant_id FROM unit GROUP BY variant_id")) {
      while (rows.next()) {
        patterns.add(
            new Pattern(rows.getLong(2), rows.getLong(3), meters(connection, rows.getLong(1))));
      }
    }
    return patterns;
  }

  private static List<PatternMeter> meters(Connection connection, long unit) throws SQLException {
    List<PatternMeter> meters = new ArrayList<>();
    try (Statement statement = connection.createStatement();
        ResultSet rows =
            statement.executeQuery("SELECT name, measure FROM meter WHERE unit_id = " + unit)) {
      while (rows.next()) {
        double perDay = rows.getString(2).equals("km") ? 120 : 3;
        meters.add(new PatternMeter(rows.getString(1), rows.getString(2), perDay));
      }
    }
    return meters;
  }

  private static long unit(Connection connection, String code, Pattern pattern)
      throws SQLException {
    return insert(
        connection,
        "INSERT INTO unit (code, name, class_id, variant_id, in_service_on) VALUES ('"
            + code
            + "', 'One of many', "
            + pattern.classId()
            + ", "
            + pattern.variantId()
            + ", '2022-01-10')");
  }

  private static long meter(Connection connection, long unit, PatternMeter meter)
      throws SQLException {
    return insert(
        connection,
        "INSERT INTO meter (unit_id, name, measure, start_tenths) VALUES ("
            + unit
            + ", '"
            + meter.name()
            + "', '"
            + meter.measure()
            + "', 0)");
  }

  private static long insert(Connection connection, String sql) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet row = statement.executeQuery(sql + " RETURNING id")) {
      row.next();
      return row.getLong(1);
    }
  }

  private static void read(
      PreparedStatement insert, long meter, double perDay, int readings, Random random)
      throws SQLException {
    double value = 0;
    for (int day = readings - 1; day >= 0; day--) {
      value += perDay * 2 * random.nextDouble();
      insert.setLong(1, meter);
      insert.setString(2, TODAY.minusDays(day).toString());
      insert.setLong(3, Math.round(value * 10));
      insert.addBatch();
    }
    insert.executeBatch();
  }

  /** Every task of every new unit was done some days ago, by the life it had then. */
  private static void records(Connection connection, int within) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.executeUpdate(
          """
          INSERT INTO task_record (unit_id, task_id, done_on, life_tenths, reason, actor, recorded_at)
          SELECT u.id, t.id, date('2027-03-15', '-' || ((u.id * 7 + t.id * 13) % WITHIN) || ' days'),
                 (SELECT r.value_tenths FROM meter m JOIN reading r ON r.meter_id = m.id
                   WHERE m.unit_id = u.id AND m.name = t.meter_name
                     AND r.read_on = date('2027-03-15', '-' || ((u.id * 7 + t.id * 13) % WITHIN) || ' days')),
                 'bench', 'bench', '2026-10-01T06:00:00Z'
            FROM unit u JOIN service s ON s.variant_id = u.variant_id JOIN task t ON t.service_id = s.id
           WHERE u.code LIKE 'XL-%'
          """
              .replace("WITHIN", Integer.toString(within)));
    }
  }
}
