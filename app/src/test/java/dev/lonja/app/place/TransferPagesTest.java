package dev.lonja.app.place;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.transfer.TransferId;
import dev.lonja.core.transfer.TransferState;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * The demo's Boatyard Cage has rack Y and serves the boat hoists. One transfer to it lacks a
 * washer, one of a can of oil is asked for.
 */
class TransferPagesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private static final Place CAGE = Place.of(new SatelliteId(1));

  private static Visitor keeper() {
    return SERVER.signedInAs("storekeeper");
  }

  private static Quantity free(String number, Place place) {
    return SERVER
        .store()
        .<Map<StockKey, Quantity>>read(
            session -> session.placeStock().free(LonjaServer.TODAY, place))
        .getOrDefault(StockKey.ofNew(SERVER.itemId(number)), Quantity.pieces(0));
  }

  private static TransferState state(long id) {
    return SERVER
        .store()
        .<TransferState>read(
            session -> session.transfers().byId(new TransferId(id)).orElseThrow().state());
  }

  @Test
  void aSatelliteIsAskedForPickedSentAndReceived() {
    SERVER.waitForTrials();
    Visitor.Page list = keeper().get("/stores/transfers");
    assertThat(list.words()).contains("Boatyard Cage is to be filled up");
    Visitor.Page asked =
        keeper()
            .post(
                "/stores/transfers",
                Visitor.filled(
                    list.form("/stores/transfers"),
                    Map.of("ask-" + SERVER.itemId("PL 6620-A"), "1")));
    assertThat(asked.path()).startsWith("/stores/transfers/");
    assertThat(asked.words()).contains("1 wanted").contains("C-01");
    String path = asked.path();
    Visitor.Page early = keeper().submit(asked.form("/send"), Map.of());
    assertThat(early.words()).contains("Nothing is picked yet");
    Visitor.Page scanned = keeper().submit(asked.form("/scan"), Map.of("code", "PL 6620-A"));
    assertThat(scanned.words()).contains("1 picked");
    Visitor.Page again = keeper().submit(scanned.form("/scan"), Map.of("code", "RV 1212-4"));
    assertThat(again.words()).contains("RV 1212-4 is not asked for");
    Visitor.Page sent = keeper().submit(keeper().get(path).form("/send"), Map.of());
    assertThat(sent.words()).contains("on its way").contains("1 on the way");
    Visitor.Page wrong =
        keeper()
            .submit(
                sent.form("/receive"),
                Map.of(
                    "came-" + SERVER.itemId("PL 6620-A"),
                    "1",
                    "bin-" + SERVER.itemId("PL 6620-A"),
                    "A-03"));
    assertThat(wrong.text(".field-error")).contains("A-03 is no bin of the place it goes to");
    Quantity before = free("PL 6620-A", CAGE);
    Map<String, String> came =
        Map.of(
            "came-" + SERVER.itemId("PL 6620-A"), "1", "bin-" + SERVER.itemId("PL 6620-A"), "y-03");
    keeper().submit(sent.form("/receive"), came);
    assertThat(free("PL 6620-A", CAGE)).isEqualTo(before.plus(Quantity.pieces(1)));
    assertThat(SERVER.isSound()).isTrue();
  }

  /** What goes with the boxes says where each thing lay, and has room for what came. */
  @Test
  void aTransferIsPrinted() throws IOException {
    try (PDDocument sheet = Loader.loadPDF(keeper().bytes("/stores/transfers/3/sheet.pdf"))) {
      assertThat(new PDFTextStripper().getText(sheet))
          .contains("TF-3 from Quay Store to Boatyard Cage", "FA 15-20", "Received by");
    }
    assertThat(keeper().get("/stores/transfers/99/sheet.pdf").status()).isEqualTo(404);
    assertThat(keeper().get("/fleet/BH-1").words()).contains("Served from Boatyard Cage");
  }

  @Test
  void aWasherThatDoesNotComeIsLost() {
    Quantity before = SERVER.onHand("Cu 22×27×1.5");
    Visitor.Page page = keeper().get("/stores/transfers/2");
    assertThat(page.words()).contains("1 on the way");
    Map<String, String> lost = Visitor.filled(page.form("/settle"), Map.of("fate", "lost"));
    Map<String, String> all = new HashMap<>(lost);
    all.put("fate", "lost");
    keeper().post("/stores/transfers/2/settle", all);
    assertThat(SERVER.onHand("Cu 22×27×1.5")).isEqualTo(before.minus(Quantity.pieces(1)));
    assertThat(state(2)).isEqualTo(TransferState.CLOSED);
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void anItemSaysWhatLiesWhereAndIsIssuedFromThere() {
    String path = "/items/" + SERVER.itemId("Cu 22×27×1.5");
    Quantity there = free("Cu 22×27×1.5", CAGE);
    Visitor.Page page = keeper().get(path);
    assertThat(page.words()).contains("Boatyard Cage " + there.display() + " free");
    Visitor.Page refused =
        keeper()
            .submit(page.form("/issue"), Map.of("quantity", "99", "reason", "slip", "from", "1"));
    assertThat(refused.words()).contains("99 wanted, " + there.display() + " free");
    keeper()
        .submit(
            keeper().get(path).form("/issue"),
            Map.of("quantity", "1", "reason", "slip", "from", "1"));
    assertThat(free("Cu 22×27×1.5", CAGE)).isEqualTo(there.minus(Quantity.pieces(1)));
  }

  /** The cage has one air filter for two hoists; once it is issued, the main store has one more. */
  @Test
  void aTrayThatLacksSomethingAsksThePlaceThatHasIt() {
    Visitor.Page trays = keeper().get("/trays");
    String tray = trays.document().selectFirst("tr:contains(BH-1) a").attr("href");
    assertThat(keeper().get(tray).words()).contains("Y-03");
    Quantity there = free("PL 6620-A", CAGE);
    keeper()
        .submit(
            keeper().get("/items/" + SERVER.itemId("PL 6620-A")).form("/issue"),
            Map.of("quantity", there.display(), "reason", "slip", "from", "1"));
    Visitor.Page lacking = keeper().get(tray);
    Quantity atMain = free("PL 6620-A", Place.MAIN);
    assertThat(lacking.words()).contains("Quay Store has " + atMain.display() + " free.");
    // what lies at the main store is not laid here
    keeper().submit(lacking.form("/scan"), Map.of("code", "PL 6620-A"));
    assertThat(keeper().get(tray).words()).contains("Quay Store has " + atMain.display());
    assertThat(free("PL 6620-A", Place.MAIN)).isEqualTo(atMain);
    Visitor.Page asked = keeper().submit(lacking.form("/stores/transfers"), Map.of());
    assertThat(asked.path()).startsWith("/stores/transfers/");
    assertThat(asked.words()).contains("PL 6620-A").contains("1 wanted");
  }

  @Test
  void anUnknownPlaceIsRefused() {
    Visitor.Page page = keeper().get("/stores/transfers");
    Visitor.Page refused =
        keeper()
            .post(
                "/stores/transfers",
                Visitor.filled(page.form("/stores/transfers"), Map.of("to", "x")));
    assertThat(refused.words()).contains("\"x\" is no place of this store");
  }

  @Test
  void whoMayWorkAtOnePlaceBooksNowhereElse() {
    Visitor admin = SERVER.signedInAs("administrator");
    String path = "/setup/people/" + SERVER.personId("storekeeper");
    Visitor.Page page = admin.get(path);
    Map<String, String> cageOnly = new HashMap<>(Visitor.filled(page.form("/places"), Map.of()));
    cageOnly.put("at-1", "yes");
    admin.post(path + "/places", cageOnly);
    Visitor.Page item = keeper().get("/items/" + SERVER.itemId("Cu 22×27×1.5"));
    Visitor.Page refused =
        keeper().submit(item.form("/issue"), Map.of("quantity", "1", "reason", "van", "from", ""));
    assertThat(refused.words()).contains("storekeeper does not work at Quay Store");
    assertThat(keeper().get("/stores/counts").document().select(".count-bin"))
        .allSatisfy(bin -> assertThat(bin.attr("data-bin")).startsWith("Y-"));
    Map<String, String> everywhere =
        new HashMap<>(Visitor.filled(admin.get(path).form("/places"), Map.of()));
    everywhere.keySet().removeIf(field -> field.startsWith("at-"));
    admin.post(path + "/places", everywhere);
    assertThat(SERVER.store().<Map<?, ?>>read(session -> session.places().granted())).isEmpty();
  }

  @Test
  void placesAreSetUpByRackAndMachine() {
    Visitor.Page page = keeper().get("/stores/places");
    assertThat(page.document().select("#bins-1").val()).isEqualTo("Y");
    assertThat(page.document().select("#units-1").val()).isEqualTo("BH-1 BH-2");
    Visitor.Page refused = keeper().submit(page.form("/stores/places"), Map.of("bins-1", "Y Q-77"));
    assertThat(refused.text(".field-error")).contains("No rack and no bin is called \"Q-77\"");
    assertThat(refused.document().select("#bins-1").val()).isEqualTo("Y Q-77");
  }
}
