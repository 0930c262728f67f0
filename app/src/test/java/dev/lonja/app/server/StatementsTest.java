package dev.lonja.app.server;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.slf4j.LoggerFactory;

/**
 * How many statements of SQL a page takes, once the server knows its fleet. A page that asks once
 * for each of its lines shows here before it is slow. The bounds are what the pages take today.
 */
class StatementsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Logger log = (Logger) LoggerFactory.getLogger("org.jooq.tools.LoggerListener");
  private final ListAppender<ILoggingEvent> heard =
      new ListAppender<>() {
        @Override
        protected void append(ILoggingEvent event) {
          // whose event it is, is found out by the thread that asks first
          event.prepareForDeferredProcessing();
          super.append(event);
        }
      };

  @BeforeEach
  void listen() {
    heard.start();
    log.setAdditive(false);
    log.addAppender(heard);
  }

  @AfterEach
  void stop() {
    log.detachAppender(heard);
    log.setAdditive(true);
  }

  @ParameterizedTest
  @CsvSource({
    "/, 107",
    "/stores/waste, 12",
    "/stores/health, 34",
    "/stores/counts, 19",
    "/stores/stocktake, 8",
    "/stores/places, 6",
    "/stores/transfers, 48",
    "/stores/transfers/2, 20",
    "/stores/waste/1, 12",
    "/fleet, 3",
    "/fleet/due, 3",
    "/fleet/RT-04, 25",
    "/fleet/RT-04/meters, 16",
    "/fleet/meters, 3",
    "/fleet/variants/1, 12",
    "/items/1, 41",
    "/items/5, 41",
    "/find?q=PL, 20",
    "/parts/1, 30",
    "/oils, 12",
    "/oils/specs/1, 20",
    "/oils/products/1, 32",
    "/trays, 10",
    "/ahead, 21",
    "/buy, 72",
    "/buy/replay, 6",
    "/book/accuracy, 22",
    "/stores, 57",
    "/stores/tanks/1, 56",
    "/stores/bins/A-03, 9",
    "/buy/orders, 10",
    "/buy/orders/7, 12",
    "/buy/door, 10",
    "/book, 6",
    "/setup, 2",
    // a tray that was looked at stands beside each page after it
    "/trays/8, 37",
  })
  void aPageTakesFewStatements(String path, int most) {
    Visitor visitor = SERVER.signedInAs("storekeeper");
    visitor.get(path);
    // an answer is kept until something is written
    SERVER.store().write(session -> true);
    // trials that are ready in the middle of a page have it reckon again what follows from them
    SERVER.waitForTrials();
    List<String> statements = statementsOf(visitor, path);
    assertThat(statements).as(String.join("\n", statements)).hasSizeBetween(1, most);
  }

  /** While nothing is written, the main pages are answered from what was worked out before. */
  @ParameterizedTest
  @CsvSource({
    "/, 0",
    "/fleet, 0",
    "/fleet/due, 0",
    "/fleet/RT-04, 1",
    "/items/1, 0",
    "/trays/8, 0",
    "/ahead, 0"
  })
  void aPageThatIsLookedAtAgainTakesNone(String path, int most) {
    // a tray that is looked at stays open beside all other pages of the session
    Visitor visitor = SERVER.newlySignedInAs("storekeeper");
    visitor.get(path);
    SERVER.waitForTrials();
    visitor.get(path);
    List<String> statements = statementsOf(visitor, path);
    assertThat(statements).as(String.join("\n", statements)).hasSizeLessThanOrEqualTo(most);
  }

  private List<String> statementsOf(Visitor visitor, String path) {
    // what is logged takes longer than what is asked
    log.setLevel(Level.DEBUG);
    visitor.get(path);
    log.setLevel(Level.INFO);
    return heard.list.stream()
        // what the server does meanwhile in the background is not the page's
        .filter(event -> event.getThreadName().startsWith("http-nio"))
        .map(ILoggingEvent::getFormattedMessage)
        .filter(message -> message.startsWith("Executing query"))
        .toList();
  }
}
