package dev.lonja.app.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The trucks are Corvanes; Corvane's own box of their oil filter is CV 6-3310. */
class FilterMakeTest {

  private static final Holder TRUCKS = new Holder.OfClass(1);

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private static void choose(School school) {
    SERVER
        .store()
        .write(
            session -> {
              session.policies().choose(TRUCKS, Choice.of(school));
              return true;
            });
  }

  @AfterEach
  void asItWas() {
    SERVER
        .store()
        .write(
            session -> {
              session.policies().withdraw(TRUCKS, Question.FILTER_MAKE);
              return true;
            });
  }

  /** Plan line and tray take Corvane's, and nothing else is laid in its place. */
  @Test
  void theMachineMakersOnly() {
    String box = "/ahead/" + SERVER.itemId("CV 6-3310");
    assertThat(visitor.get(box).words()).contains("Nothing is expected within the horizon.");
    choose(School.MACHINE_MAKER_ONLY);
    assertThat(visitor.get(box).words()).contains("RT-01");
    Visitor.Page tray = visitor.submit(visitor.get("/fleet/RT-01").form("/trays/start"), Map.of());
    String line = tray.text(".lines > li:contains(CV 6-3310)");
    assertThat(line).contains("Filter make: machine maker only (its class's policy)");

    Visitor.Page others =
        visitor.get(
            tray.document()
                .select(".lines > li:contains(CV 6-3310) a[href$=/instead]")
                .attr("href"));
    Visitor.Page refused =
        visitor.submit(
            others.form("/instead"),
            Map.of("itemId", String.valueOf(SERVER.itemId("PL 4107-B")), "reason", "it lies here"));
    assertThat(refused.words())
        .contains("PL 4107-B is not of Corvane, and by the policy in force only the machine");
    // nor is it put on by hand
    Visitor.Page put =
        visitor.submit(
            visitor.get("/items/" + SERVER.itemId("RV 1160-7")).form("/put-on"),
            Map.of("quantity", "1", "why", "it fits"));
    assertThat(put.words()).contains("RV 1160-7 is not of Corvane");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** PL 88-F4 fits where RV 2210-4 is chosen, and costs less. */
  @Test
  void theCheapestThatFits() {
    choose(School.CHEAPEST_THAT_FITS);
    assertThat(visitor.get("/ahead/" + SERVER.itemId("RV 2210-4")).words())
        .contains("Nothing is expected within the horizon.");
    assertThat(visitor.get("/ahead/" + SERVER.itemId("PL 88-F4")).words()).contains("RT-04");
  }
}
