package dev.lonja.app.place;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Where things lie in the demo's store. */
class ShelfTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor storekeeper = SERVER.signedInAs("storekeeper");

  /**
   * Of PL 4107-B 6 lie in A-03, which is to hold 12 at most: half full. In A-05 something is in
   * quarantine.
   */
  @Test
  void theMapShowsHowTheBinsStand() {
    Visitor.Page page = storekeeper.get("/stores");
    int bins = SERVER.store().<Integer>read(session -> session.items().bins().size());
    assertThat(page.document().select("a.bay-bin")).hasSize(bins);
    Element bin = page.document().selectFirst("a.bay-bin[href$=/A-03]");
    assertThat(bin.attr("title")).contains("3 things, 50 % full");
    assertThat(bin.hasClass("bay-bin-5")).isTrue();
    Element aside = page.document().selectFirst("a.bay-bin[href$=/A-05]");
    assertThat(aside.attr("title")).contains("something is set aside");
    assertThat(aside.select(".bay-mark-note")).hasSize(1);
    assertThat(page.document().select(".bay-name").eachText()).startsWith("A", "B");
  }

  @Test
  void aBinOpensToWhatLiesThere() {
    Visitor.Page page = storekeeper.get("/stores/bins/a-03");
    assertThat(page.text("h1")).isEqualTo("Bin A-03");
    assertThat(page.text("li:has(.plate-number:contains(PL 4112-B))"))
        .contains("is to hold 3 to 10", "came ");
    Element next = page.document().selectFirst("a:contains(A-04 →)");
    assertThat(storekeeper.get(next.attr("href")).text("h1")).isEqualTo("Bin A-04");
    assertThat(storekeeper.get("/stores/bins/Q-99").status()).isEqualTo(404);
  }

  @Test
  void theWorkshopHasNoShelves() {
    Visitor workshop = SERVER.signedInAs("workshop");
    assertThat(workshop.get("/stores").status()).isEqualTo(403);
    assertThat(workshop.get("/stores/bins/A-03").status()).isEqualTo(403);
  }
}
