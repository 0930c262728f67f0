package dev.lonja.store;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.request.RequestLog;
import java.nio.file.Files;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** The example store that ships on a real file, fresh for each test. */
public final class ExampleStore implements BeforeEachCallback, AfterEachCallback {

  private Optional<LonjaStore> store = Optional.empty();
  private int requests;

  @Override
  public void beforeEach(ExtensionContext context) throws Exception {
    store = Optional.of(Stores.example(Files.createTempDirectory("lonja-store")));
  }

  @Override
  public void afterEach(ExtensionContext context) {
    store.orElseThrow().close();
  }

  public <T> T read(Function<Session, T> work) {
    return store.orElseThrow().read(work);
  }

  public <T> T write(Function<Session, T> work) {
    return store.orElseThrow().write(work);
  }

  /** Changes something and answers nothing. */
  public void change(Consumer<Session> work) {
    write(
        session -> {
          work.accept(session);
          return true;
        });
  }

  /** Books what a rule says of an item's stock, under a reference and at a time. */
  public void book(ItemId item, String reference, Instant at, Function<ItemStock, Booking> rule) {
    String key = "booked-by-test-" + ++requests;
    change(
        session -> {
          Booking booking = rule.apply(session.ledger().stockOf(item));
          session
              .requests()
              .add(key, new RequestLog.Entry("hash", ""), "storekeeper", RequestLog.Times.at(at));
          Posting posting = new Posting("why", reference, key, "storekeeper", at);
          session.ledger().append(((Booking.Booked) booking).lines(), posting, 1);
        });
  }

  /** Changes the file past everything that guards it but its own checks. */
  public void tamper(String change) {
    Stores.tamper(store.orElseThrow(), change);
  }
}
