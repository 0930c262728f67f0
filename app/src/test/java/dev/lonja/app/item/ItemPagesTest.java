package dev.lonja.app.item;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.quantity.Quantity;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Booking on item pages over HTTP. Every test has an item of its own. */
class ItemPagesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  @Test
  void thePageShowsStockByBinAndLotAndItsMovements() {
    Visitor.Page page = page("TM-3308");
    assertThat(page.words())
        .contains("A-05", "Q9-0042", "quarantined", "gasket too small, set aside", "Used on")
        .contains("GN-1", "GN-2");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0|the quantity is 0; allowed is more than 0.",
        "-2|the quantity is -2; allowed is more than 0.",
        "1.5|the quantity is 1.5; allowed are whole pieces.",
        "1,500|\"1,500\" has a comma that may stand for thousands.",
        "900|900 wanted,",
        "''|The quantity is missing.",
        "a few|\"a few\" is not a number."
      })
  void aWrongIssueIsRefusedAndStaysInItsFields(String quantity, String problem) {
    Quantity before = SERVER.onHand("OS Z11");
    Visitor.Page answer =
        visitor.submit(
            page("OS Z11").form("/issue"), Map.of("quantity", quantity, "reason", "the pump"));
    assertThat(answer.words()).contains("Nothing was changed.").contains(problem);
    assertThat(answer.document().select("#issue-quantity").attr("value")).isEqualTo(quantity);
    assertThat(answer.document().select("#issue-reason").attr("value")).isEqualTo("the pump");
    assertThat(SERVER.onHand("OS Z11")).isEqualTo(before);
  }

  /** A quart of oil is 0.946353 L, whether it is issued or put on a tray; pieces take no unit. */
  @Test
  void oilIsBookedInTheUnitsThatPeopleSpeak() {
    Quantity before = SERVER.onHand("FA 15-20");
    visitor.submit(page("FA 15-20").form("/issue"), Map.of("quantity", "1 qt", "reason", "sample"));
    assertThat(before.minus(SERVER.onHand("FA 15-20"))).isEqualTo(Quantity.litres("0.946353"));
    Visitor.Page kilos =
        visitor.submit(
            page("FA 15-20").form("/issue"), Map.of("quantity", "1 kg", "reason", "sample"));
    assertThat(kilos.words()).contains("The quantity is \"1 kg\"; it is counted in L");
  }

  /** A lot is booked under its own item, or the ledger could never be verified again. */
  @Test
  void aLotOfAnotherItemIsNotBooked() {
    FormElement form = page("TM-3308").form("/lot");
    Map<String, String> typed = new HashMap<>();
    typed.put("what", "count");
    typed.put("quantity", "7");
    typed.put("reason", "a test");
    typed.put("lotId", lotIdOf("OS Z11"));
    Visitor.Page answer = visitor.submit(form, typed);
    assertThat(answer.words()).contains("Nothing was changed.", "is no place of this item");
    typed.put("lotId", lotIdOf("TM-3308"));
    typed.put("binId", "99999");
    typed.put("requestKey", "another-bin-0001");
    assertThat(visitor.submit(form, typed).words()).contains("in bin 99999 is no place");
    assertThat(SERVER.isSound()).isTrue();
  }

  private String lotIdOf(String number) {
    return page(number).document().select("[name=lotId]").get(0).val();
  }

  @Test
  void whatTraysHoldAndWhatIsSetAsideIsNamedWhereItLacks() {
    Visitor.Page answer =
        visitor.submit(page("TM-3308").form("/issue"), Map.of("quantity", "3", "reason", "a test"));
    assertThat(answer.words()).contains("3 wanted,", "on trays", "2 quarantined");
  }

  @Test
  void anIssueIsBookedOnceHoweverOftenItIsSent() {
    FormElement form = page("HC 16-25").form("/issue");
    Map<String, String> fields =
        Visitor.filled(form, Map.of("quantity", "2", "reason", "bilge hose"));
    Quantity before = SERVER.onHand("HC 16-25");
    for (int i = 0; i < 3; i++) {
      assertThat(visitor.post(form.attr("action"), fields).words()).contains("bilge hose");
    }
    assertThat(SERVER.onHand("HC 16-25")).isEqualTo(before.minus(Quantity.pieces(2)));
  }

  @Test
  void aReceiptOpensALotAndSetsTheAverage() {
    Map<String, String> delivery = new HashMap<>();
    delivery.put("quantity", "4");
    delivery.put("cost", "17.00");
    delivery.put("bin", "c-09");
    delivery.put("lot", "N-77");
    delivery.put("expires", "2029-01-31");
    delivery.put("reason", "note 4471");
    Visitor.Page after = visitor.submit(page("OS 212").form("/receive"), delivery);
    assertThat(after.words()).contains("N-77", "31 Jan 2029", "note 4471", "+4", "17.00 EUR");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void aReceiptWithWrongFieldsNamesThemAll() {
    Map<String, String> delivery = new HashMap<>();
    delivery.put("quantity", "4");
    delivery.put("cost", "-1");
    delivery.put("bin", "Q-99");
    delivery.put("lot", "");
    delivery.put("expires", "soon");
    delivery.put("reason", "");
    Visitor.Page answer = visitor.submit(page("PL 88-F4").form("/receive"), delivery);
    assertThat(answer.words())
        .contains("The cost is -1; allowed is 0 or more.")
        .contains("\"soon\" is not a date.");
    assertThat(answer.document().select("details[open] #re").attr("value")).isEqualTo("soon");
    delivery.putAll(Map.of("cost", "1", "lot", "L-1", "expires", "", "reason", "note 1"));
    assertThat(visitor.submit(answer.form("/receive"), delivery).words())
        .contains("There is no bin \"Q-99\".");
  }

  @Test
  void aLotIsCountedMovedAndScrapped() {
    assertThat(onLot("FNL 150", "count", "3", "").words()).contains("3 on hand");
    assertThat(onLot("FNL 150", "transfer", "2", "D-12").words()).contains("D-12");
    assertThat(onLot("FNL 150", "scrap", "9", "").words()).contains("9 wanted, 2 there.");
    assertThat(onLot("FNL 150", "scrap", "1", "").words()).contains("2 on hand");
    assertThat(onLot("FNL 150", "transfer", "1", "D-12").words())
        .contains("from and to are the same bin.");
    assertThat(onLot("FNL 150", "adjust", "1", "").words()).contains("3 on hand");
    assertThat(onLot("FNL 150", "adjust", "-9", "").words()).contains("Nothing was changed.");
    assertThat(onLot("FNL 150", "burn", "1", "").words()).contains("\"burn\" is no booking");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** Moved by mistake: correcting either half undoes both. */
  @Test
  void aTransferIsCorrectedWhole() {
    Quantity before = SERVER.onHand("RAG 10");
    onLot("RAG 10", "transfer", "3", "D-12");
    Visitor.Page page = page("RAG 10");
    FormElement correct = page.form("/correct");
    Visitor.Page after = visitor.submit(correct, Map.of("reason", "wrong bin"));
    assertThat(after.document().select("section table tr:contains(D-12)").first().text())
        .contains("correction");
    assertThat(after.document().select("section").first().select("tbody tr")).hasSize(1);
    assertThat(SERVER.onHand("RAG 10")).isEqualTo(before);
    assertThat(visitor.submit(correct, Map.of("reason", "again")).words())
        .contains("already sent with other content");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void aMovementIsCorrectedOnce() {
    visitor.submit(
        page("GLV L").form("/issue"), Map.of("quantity", "1", "reason", "to the wrong shop"));
    Quantity before = SERVER.onHand("GLV L");
    visitor.submit(page("GLV L").form("/correct"), Map.of("reason", "not taken"));
    assertThat(SERVER.onHand("GLV L")).isEqualTo(before.plus(Quantity.pieces(1)));
    Visitor.Page page = page("GLV L");
    FormElement second = (FormElement) page.document().select("form[action$=/correct]").get(0);
    assertThat(visitor.submit(second, Map.of("reason", "twice")).words())
        .contains("was returned or corrected already");
  }

  /** Both have the form open; the second to save sees both versions and chooses. */
  @Test
  void aStaleEditShowsBothVersions() {
    FormElement mine = editPage("LT 4-0200").form("/edit");
    Visitor other = SERVER.signedInAs("administrator");
    other.submit(
        other.get(path("LT 4-0200") + "/edit").form("/edit"),
        Map.of("description", "Drive belt, new make", "homeBin", "B-10"));
    Visitor.Page conflict =
        visitor.submit(mine, Map.of("description", "Drive belt 900", "homeBin", "B-08"));
    assertThat(conflict.words()).contains("Nothing was saved.", "Drive belt, new make", "B-10");
    assertThat(conflict.document().select("input[name=description]").attr("value"))
        .isEqualTo("Drive belt 900");
    assertThat(page("LT 4-0200").words()).contains("Drive belt, new make");
    Visitor.Page saved = visitor.submit(conflict.form("/edit"), Map.of());
    assertThat(saved.words()).contains("Drive belt 900").doesNotContain("new make");
  }

  @Test
  void anEditNeedsADescriptionAndABin() {
    Visitor.Page answer =
        visitor.submit(
            editPage("LT 4-0200").form("/edit"), Map.of("description", " ", "homeBin", "nowhere"));
    assertThat(answer.words()).contains("The description is missing.");
    assertThat(visitor.submit(answer.form("/edit"), Map.of("description", "Belt")).words())
        .contains("There is no bin \"nowhere\"; write one such as A-03");
  }

  private Visitor.Page editPage(String number) {
    return visitor.get(path(number) + "/edit");
  }

  private Visitor.Page onLot(String number, String what, String quantity, String toBin) {
    FormElement form = page(number).form("/lot");
    return visitor.submit(
        form, Map.of("what", what, "quantity", quantity, "toBin", toBin, "reason", "a test"));
  }

  private Visitor.Page page(String number) {
    return visitor.get(path(number));
  }

  private static String path(String number) {
    return "/items/" + SERVER.itemId(number);
  }
}
