package dev.lonja.app.waste;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.app.server.Visitor.Page;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.pour.NewFill;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tray.TrayId;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class WastePagesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private static final String OIL = "/stores/waste/1";
  private static final String FILTERS = "/stores/waste/2";
  private static final String COOLANT = "/stores/waste/3";

  private static Visitor keeper() {
    return SERVER.signedInAs("storekeeper");
  }

  /**
   * 15 · 47.9 + 8 · 14 = 830.5 L since it was fetched; 112 L in eight weeks are 14 a week, so 19.5
   * L more to 850 come in 9.75 days: on 25 March, and the collector needs seven days.
   */
  @Test
  void theMapSaysByWhenToCall() {
    Page map = keeper().get("/stores");
    assertThat(map.text("ul[aria-label=Waste] li:contains(Used oil tote)"))
        .contains("830.50 L", "of 1000.00 L", "call by Thu 18 Mar", "85 % full 25 Mar");
  }

  @Test
  void streamsAreNeverMixed() {
    Page page = keeper().get(COOLANT);
    Page refused =
        keeper()
            .submit(
                page.form(COOLANT), Map.of("amount", "4", "kind", "brake_fluid", "from", "FL-4"));
    assertThat(refused.words())
        .contains("Used brake fluid does not go into Coolant drum, where used coolant is gathered");
    assertThat(refused.document().select("#from").attr("value")).isEqualTo("FL-4");
    Page done =
        keeper()
            .submit(page.form(COOLANT), Map.of("amount", "4,5", "kind", "coolant", "from", "FL-4"));
    assertThat(done.text("ul[aria-label='Put in'] li")).contains("FL-4", "4.50 L");
    Page after = keeper().submit(done.form("/withdraw"), Map.of("why", "it was water"));
    assertThat(after.text("ul[aria-label='Put in'] li")).doesNotContain("FL-4");
  }

  @Test
  void noMoreGoesInThanFits() {
    Page page = keeper().get(FILTERS);
    // 22 · 3.4 = 74.8 kg of 180
    Page refused =
        keeper().submit(page.form(FILTERS), Map.of("amount", "106", "kind", "filters", "from", ""));
    assertThat(refused.words()).contains("Filter drum has room for 105.20 kg");
    assertThat(
            keeper()
                .submit(page.form(FILTERS), Map.of("amount", "-1", "kind", "filters", "from", ""))
                .words())
        .contains("allowed is more than 0");
  }

  @Test
  void itIsFetchedWithItsPaperAndTheYearAddsUp() {
    Page page = keeper().get(OIL);
    Map<String, String> fetched =
        Map.of("taken", "828", "left", "", "carrier", "Harbour Collection", "document", "W-27-9");
    Page nobody =
        keeper()
            .submit(
                page.form("/collections"),
                Map.of("taken", "828", "left", "", "carrier", "", "document", "W-27-9"));
    assertThat(nobody.words()).contains("Who took it is missing.");
    Page done = keeper().submit(page.form("/collections"), fetched);
    assertThat(done.words()).contains("of 1000.00 L", "It is empty.");
    assertThat(done.text("ul[aria-label=Fetched] li")).contains("828.00 L", "W-27-9");
    assertThat(done.document().select("ul[aria-label='Put in']")).isEmpty();
    // 10 weeks of 47.9 or 14 L since New Year, 828 fetched
    assertThat(keeper().get("/stores/waste/years/2027").words()).contains("828.00 L fetched");
    assertThat(keeper().bytes("/stores/waste/years/2027.pdf")).startsWith('%', 'P', 'D', 'F');
    assertThat(keeper().ask("/stores/waste/years/2027.csv").response().body())
        .contains(
            "Used oil,used_oil,13 02 05,2027-03-15,Used oil tote,828,L,Harbour Collection,W-27-9");
    assertThat(keeper().get("/stores/waste/years/2026").words()).contains("845.00 L fetched");
  }

  /** 10 L were filled in, so 9 L came out; they go in once. */
  @Test
  void whatAJobBroughtBackGoesIn() {
    SERVER
        .store()
        .<Boolean>write(
            session -> {
              Unit unit =
                  session.fleet().serving(LonjaServer.TODAY).stream()
                      .filter(one -> one.code().equals("VN-6"))
                      .findFirst()
                      .orElseThrow();
              Compartment sump =
                  session
                      .fleet()
                      .needs(ShelfFacts.NONE)
                      .get(unit.variant().id())
                      .compartments()
                      .get(0);
              session
                  .records()
                  .addFill(
                      unit.id(),
                      new NewFill(
                          sump.id(),
                          SERVER.itemId("FA 15-205"),
                          FillCondition.WITH_FILTER,
                          Volume.ofLitres("10"),
                          Optional.empty(),
                          Optional.empty(),
                          LonjaServer.TODAY,
                          "storekeeper"),
                      Optional.of(new TrayId(1)),
                      "",
                      Instant.parse("2027-03-15T08:00:00Z"));
              return true;
            });
    Page page = keeper().get("/stores/waste");
    assertThat(page.text("ul[aria-label='Came back'] li")).contains("used oil");
    FormElement form = page.form("/jobs/1");
    assertThat(form.select("[name=amount]").attr("value")).isEqualTo("9.0");
    Page done = keeper().submit(form, Map.of("into", "1"));
    assertThat(done.words()).doesNotContain("Nothing was changed");
    assertThat(done.document().select("ul[aria-label='Came back']")).isEmpty();
    Page twice = keeper().submit(form, Map.of("into", "1", "requestKey", "again-j10"));
    assertThat(twice.words()).contains("What came back of that job as used oil is in a container");
  }

  @Test
  void aStreamAndAContainerAreSetUp() {
    Page page = keeper().get("/stores/waste");
    Page taken =
        keeper()
            .submit(
                page.form("/streams"),
                Map.of("kind", "used_oil", "name", "Used oil", "unit", "L", "limit", "0"));
    assertThat(taken.words()).contains("limit");
    Page stream =
        keeper()
            .submit(
                page.form("/streams"),
                Map.of("kind", "oily_rags", "name", "Rags", "unit", "kg", "code", "", "limit", ""));
    assertThat(stream.text("ul[aria-label=Streams]")).contains("Rags", "no limit of storage");
    Page container =
        keeper()
            .submit(
                stream.form("/containers"),
                Map.of(
                    "stream",
                    stream.document().select("#stream option:contains(Rags)").attr("value"),
                    "name",
                    "Rag bin",
                    "capacity",
                    "40",
                    "lead",
                    "5",
                    "place",
                    ""));
    assertThat(container.words()).contains("Rag bin", "of 40.00 kg", "It is empty.");
    assertThat(SERVER.isSound()).isTrue();
  }
}
