package dev.lonja.desk;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.ledger.Postings;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.StoreFiles;
import dev.lonja.store.ledger.Posting;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** The example store that ships, fresh for each test, on 15 March 2027. */
public final class Cage implements BeforeEachCallback, AfterEachCallback {

  public static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  private static final Path EXAMPLE = Path.of("..", "examples", "boatyard-cage");

  private Optional<LonjaStore> store = Optional.empty();
  private int requests;

  @Override
  public void beforeEach(ExtensionContext context) throws Exception {
    Path database = Files.createTempDirectory("lonja-desk").resolve("lonja.db");
    Files.copy(Loaded.DATABASE, database);
    store = Optional.of(LonjaStore.open(database));
  }

  /** The example, loaded once and copied for each test. */
  private static final class Loaded {

    private static final Path DATABASE = load();

    private static Path load() {
      try {
        Path folder = Files.createTempDirectory("lonja-example");
        Path working = folder.resolve("working.db");
        Path database = folder.resolve("lonja.db");
        assertThat(StoreFiles.load(EXAMPLE, working, false, session -> {})).isEmpty();
        try (LonjaStore store = LonjaStore.open(working)) {
          store.backUpTo(database);
        }
        return database;
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  @Override
  public void afterEach(ExtensionContext context) {
    store().close();
  }

  public LonjaStore store() {
    return store.orElseThrow();
  }

  public StoreClock clock() {
    return StoreClock.of(ZoneOffset.UTC, Optional.of(TODAY));
  }

  public OnceOnly once() {
    return new OnceOnly(store(), clock());
  }

  /** A request that was never sent before. */
  public Sent sent() {
    requests++;
    return new Sent(
        "a-key-of-its-own-" + requests, "content " + requests, "storekeeper", "127.0.0.1");
  }

  public <T> T read(Function<Session, T> what) {
    return store().read(what);
  }

  public void write(Consumer<Session> what) {
    store()
        .write(
            session -> {
              what.accept(session);
              return true;
            });
  }

  /** Books something of an item as it would be over the counter. */
  public Outcome book(Sent sent, ItemId item, Function<Session, Booking> booking) {
    return once()
        .run(
            sent,
            session ->
                Postings.write(
                    session,
                    item,
                    booking.apply(session),
                    new Posting("yard", "", sent.key(), sent.actor(), clock().now()),
                    1));
  }

  public Quantity onHand(long item) {
    return read(session -> session.ledger().stockOf(new ItemId(item)).onHand());
  }

  /** Why a request was refused; fails if it was carried out. */
  public static List<Refusal> reasons(Outcome outcome) {
    assertThat(outcome).isInstanceOf(Outcome.Refused.class);
    return List.copyOf(((Outcome.Refused) outcome).reasons());
  }
}
