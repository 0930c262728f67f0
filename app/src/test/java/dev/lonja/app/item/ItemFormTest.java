package dev.lonja.app.item;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Items added, edited, retired and deleted. */
class ItemFormTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page add(String... fields) {
    Map<String, String> typed = new HashMap<>();
    typed.put("make", "Nortrap");
    typed.put("description", "Oil filter");
    typed.put("homeBin", "A-16");
    for (int i = 0; i < fields.length; i += 2) {
      typed.put(fields[i], fields[i + 1]);
    }
    Visitor.Page form = visitor.get("/items/new?family=SPIN_ON_FILTER");
    return visitor.submit(form.form("/items/new"), typed);
  }

  @Test
  void aNewFilterWithAllThatGoesWithIt() {
    Visitor.Page item =
        add(
            "number",
            "NT 20 777",
            "use",
            "oil",
            "thread",
            "M20x1,5",
            "height",
            "3 11/16 in",
            "bypass",
            "none",
            "barcodes",
            "111222 333444",
            "bin-0",
            "a-16",
            "least-0",
            "2",
            "most-0",
            "6",
            "supplier-0",
            "Cabo Norte Supply",
            "price-0",
            "8.7",
            "supplyPack-0",
            "2",
            "supplyLeast-0",
            "4",
            "content-0",
            "any Cu 14×18×1.5",
            "contentQuantity-0",
            "2",
            "shelfLife",
            "1500");
    assertThat(item.path()).startsWith("/items/");
    assertThat(item.words())
        .contains("M20×1.5", "93.66 mm", "none", "2 × Cu 14×18×1.5")
        .contains("Should hold A-16: 2 to 6", "111222, 333444", "Keeps 4 years 1 month unopened.")
        .contains("8.70 EUR", "least 4");
    assertThat(visitor.get("/find?q=333444").path()).isEqualTo(item.path());
    // the form shows what is on file, and saving it unchanged changes nothing
    Visitor.Page form = visitor.get(item.path() + "/edit");
    assertThat(form.document().select("[name=height]").val()).isEqualTo("93.663");
    assertThat(form.document().select("[name=price-0]").val()).isEqualTo("8.70");
    Visitor.Page saved = visitor.submit(form.form("/edit"), Map.of());
    assertThat(saved.words()).contains("93.66 mm", "Should hold A-16: 2 to 6", "8.70 EUR");
    assertThat(SERVER.isSound()).isTrue();
  }

  /**
   * Half a litre is shown as "500 mL" elsewhere; the form shows and takes 0.5, so that saving it
   * unchanged leaves every row of the store as it was.
   */
  @Test
  void aFluidSoldByTheHalfLitreIsSavedUnchanged() {
    Visitor.Page form = visitor.get("/items/new?family=FLUID");
    String product = form.document().select("[name=product] option").get(1).val();
    Map<String, String> typed = new HashMap<>();
    typed.put("make", "Maretta");
    typed.put("number", "MR HALF 05");
    typed.put("description", "Half a litre");
    typed.put("homeBin", "A-16");
    typed.put("product", product);
    typed.put("pack", "0.5");
    typed.put("bin-0", "A-16");
    typed.put("least-0", "0.25");
    typed.put("most-0", "12.000001");
    typed.put("supplier-0", "Isla Lubricants");
    typed.put("price-0", "7.1234");
    typed.put("breaks-0", "60: 6.9; 24,5: 7");
    typed.put("supplyPack-0", "0.5");
    typed.put("supplyLeast-0", "0.75");
    Visitor.Page item = visitor.submit(form.form("/items/new"), typed);
    Map<String, String> before = files();
    Visitor.Page edit = visitor.get(item.path() + "/edit");
    assertThat(edit.document().select("[name=supplyPack-0]").val()).isEqualTo("0.5");
    assertThat(edit.document().select("[name=breaks-0]").val()).isEqualTo("24.5: 7.00; 60: 6.90");
    assertThat(edit.document().select("[name=least-0]").val()).isEqualTo("0.25");
    assertThat(edit.document().select("[name=most-0]").val()).isEqualTo("12.000001");
    visitor.submit(edit.form("/edit"), Map.of());
    Map<String, String> after = files();
    for (String table :
        List.of("item_bins.csv", "supplies.csv", "price_breaks.csv", "part_properties.csv")) {
      assertThat(withoutIds(after.get(table))).isEqualTo(withoutIds(before.get(table)));
    }
  }

  /**
   * A bin and a supplier that are not there yet come along with the item, if that is said; what is
   * refused for another reason leaves neither behind.
   */
  @Test
  void whatIsNotThereYetComesAlong() {
    Map<String, String> typed = new HashMap<>();
    typed.put("make", "Maretta");
    typed.put("number", "GM 2-18");
    typed.put("description", "Grasa Mar, bucket");
    typed.put("homeBin", "q-07");
    typed.put("newBins", "yes");
    typed.put("pack", "18 kg");
    typed.put("supplier-0", "Norte Grease");
    typed.put("price-0", "6.4");
    typed.put("supplyPack-0", "18");
    typed.put("supplyLeast-0", "40 lb");
    typed.put("leadDays", "six");
    Visitor.Page refused = visitor.submit(grease(), typed);
    assertThat(refused.words()).contains("\"six\" is not a number");
    assertThat(visitor.ask("/offers/bin?q=Q").document().text()).isEqualTo("[]");
    typed.put("leadDays", "6");
    typed.put("pack", "18 L");
    assertThat(visitor.submit(grease(), typed).words())
        .contains("The pack is \"18 L\"; allowed is more than 0, up to 100000 kg");
    typed.put("pack", "18 kg");
    Visitor.Page item = visitor.submit(grease(), typed);
    assertThat(item.words()).contains("Grasa Mar, bucket", "Q-07", "Norte Grease", "18.1");
    assertThat(visitor.ask("/offers/bin?q=q").document().text()).contains("Q-07");
    assertThat(visitor.ask("/offers/supplier?q=grease").document().text()).contains("Norte Grease");
    assertThat(visitor.ask("/offers/item?q=gm2").document().text()).contains("GM 2-18", "GM 2-1");
    assertThat(visitor.ask("/offers/fluid?q=gm2").document().text()).isEqualTo("[]");
    assertThat(visitor.ask("/offers/part?q=PL4107").document().text()).contains("Pellam PL 4107-B");
    assertThat(visitor.ask("/offers/service_class?q=ma2").document().text()).contains("JASO MA2");
    assertThat(visitor.ask("/offers/something?q=x").status()).isEqualTo(404);
    assertThat(SERVER.isSound()).isTrue();
  }

  private FormElement grease() {
    return visitor.get("/items/new?family=GREASE").form("/items/new");
  }

  private static Map<String, String> files() {
    return SERVER.store().<Map<String, String>>read(session -> session.exchange().files());
  }

  /** Rows of lists are written anew when an item is saved; their numbers say nothing. */
  private static List<String> withoutIds(String csv) {
    return csv.lines().map(line -> line.substring(line.indexOf(',') + 1)).sorted().toList();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "24 10.40|\"24 10.40\" is not a quantity and its price; allowed is 24: 10.40; 48: 9.90.",
        "6: 8; 6: 7|A break from 6 is listed twice.",
        "6: -1|The price of a break is -1; allowed is 0 to",
        "half: 7|\"half\" is not a number."
      })
  void aPriceBreakThatCannotBeReadIsNamedAndKept(String breaks, String problem) {
    Visitor.Page answer =
        add(
            "number",
            "NT 20 888",
            "supplier-0",
            "Cabo Norte Supply",
            "price-0",
            "8.7",
            "breaks-0",
            breaks,
            "supplyPack-0",
            "2",
            "supplyLeast-0",
            "4");
    assertThat(answer.words()).contains("Nothing was changed.").contains(problem);
    assertThat(answer.document().select("[name=breaks-0]").val()).isEqualTo(breaks);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "number|-/-|holds no letter and no digit",
        "height|-3|height is \"-3\"; allowed is millimetres above 0",
        "thread|M20×|thread is \"M20×\"; allowed is a thread such as M20×1.5",
        "bypass|low|bypass opens at is \"low\"; allowed is bar above 0",
        "homeBin|Z-99|There is no bin \"Z-99\"; write one such as A-03",
        "shelfLife|2.5|The shelf life in days is 2.5; write a whole number.",
        "barcodes|7302214107024|is that of PL 4107-B already",
        "least-3|4|\"4\" stands in this row without its bin.",
        "breaks-2|6: 4.20|\"6: 4.20\" stands in this row without who sells it.",
        "price-2|4.20|\"4.20\" stands in this row without who sells it.",
        "contentQuantity-1|2|\"2\" stands in this row without what it counts.",
        "content-0|QQ 9|No part has the number \"QQ 9\".",
        "content-0|44107|2 parts have that number"
      })
  void aWrongFieldIsNamedAndKept(String field, String value, String problem) {
    String number = field.equals("number") ? value : "NT 20 888";
    Visitor.Page answer = add("number", number, field, value);
    assertThat(answer.words()).contains("Nothing was changed.").contains(problem);
    assertThat(answer.document().select("[name=" + field + "]").val()).isEqualTo(value);
    assertThat(
            answer
                .document()
                .select(
                    "div:has([name="
                        + field
                        + "]) > .field-error, "
                        + "div:has(> [name="
                        + field
                        + "]) .field-error")
                .text())
        .contains(problem);
    assertThat(visitor.get("/find?q=NT+20+888").words())
        .contains("No item, unit, bin or tray is called");
  }

  /** The same number of another make may be another part, if somebody says so. */
  @Test
  void aNumberThatAnotherMakeHasIsAskedAbout() {
    Visitor.Page asked = add("number", "PL 4107-B", "number", "PL 4107-B");
    assertThat(asked.words()).contains("The store keeps Pellam PL 4107-B, which reads like it.");
    assertThat(visitor.submit(asked.form("/items/new"), Map.of("apart", "yes")).path())
        .startsWith("/items/");
  }

  @Test
  void binsAndSuppliersAreHeldAgainstEachOther() {
    assertThat(withSupplier("-1").words())
        .contains("The price of Nobody is -1; allowed is 0 to 1000000.");
    assertThat(withSupplier("3.20").words())
        .contains("should hold at least 8, which is more than its most, 6")
        .contains("There is no supplier \"Nobody\"; say below in how many days");
  }

  private Visitor.Page withSupplier(String price) {
    return add(
        "number",
        "NT 20 999",
        "bin-0",
        "A-16",
        "least-0",
        "8",
        "most-0",
        "6",
        "supplier-0",
        "Nobody",
        "price-0",
        price,
        "supplyPack-0",
        "1",
        "supplyLeast-0",
        "1");
  }

  /** What the ledger knows is retired, not deleted; what was never booked may go. */
  @Test
  void retiredOrDeleted() {
    String stocked = "/items/" + SERVER.itemId("BUL 12-5");
    Visitor.Page refused = visitor.submit(visitor.get(stocked + "/edit").form("/delete"), Map.of());
    assertThat(refused.words())
        .contains("BUL 12-5 cannot be deleted: it has movements. Retire it instead.");
    Visitor.Page retired = visitor.submit(visitor.get(stocked + "/edit").form("/retire"), Map.of());
    assertThat(retired.words()).contains("Not kept any more since 15 Mar.");
    assertThat(visitor.submit(visitor.get(stocked + "/edit").form("/retire"), Map.of()).words())
        .doesNotContain("Not kept any more");

    Visitor.Page fresh = add("number", "NT 1 DEL");
    Visitor.Page gone =
        visitor.submit(visitor.get(fresh.path() + "/edit").form("/delete"), Map.of());
    assertThat(gone.path()).startsWith("/parts/");
    assertThat(gone.words()).contains("not stocked");
    // and is stocked again from what is known of the part
    Visitor.Page again = visitor.get(gone.document().select("a:contains(Stock it)").attr("href"));
    assertThat(again.document().select("[name=number]").val()).isEqualTo("NT 1 DEL");
  }

  @Test
  void aCopyBringsAllButItsOwnNumber() {
    Visitor.Page copy = visitor.get("/items/new?like=" + SERVER.itemId("PL 4112-B"));
    assertThat(copy.document().select("[name=thread]").val()).isEqualTo("M27×2");
    assertThat(copy.document().select("[name=number]").val()).isEmpty();
    assertThat(copy.document().select("[name=barcodes]").val()).isEmpty();
  }

  /** What cannot be decoded is no picture, whatever its first bytes say; what can is made anew. */
  @Test
  void aPictureIsDecodedAndMadeAnew() throws IOException {
    String path = "/items/" + SERVER.itemId("GLV L");
    byte[] png = {(byte) 0x89, 'P', 'N', 'G', 0x0d, 0x0a, 0x1a, 0x0a, 0};
    for (byte[] none : List.of("<svg/>".getBytes(StandardCharsets.UTF_8), png)) {
      assertThat(picture(path, none).words()).contains("cannot be read as a PNG or JPEG picture");
    }
    BufferedImage drawing = new BufferedImage(2_400, 1_200, BufferedImage.TYPE_INT_ARGB);
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    ImageIO.write(drawing, "png", file);
    file.writeBytes("<script>behind the picture</script>".getBytes(StandardCharsets.UTF_8));
    picture(path, file.toByteArray());
    assertThat(visitor.get(path).document().select("main img")).hasSize(1);
    byte[] kept = visitor.bytes(path + "/picture");
    assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("behind");
    BufferedImage shown = ImageIO.read(new ByteArrayInputStream(kept));
    assertThat(shown.getWidth()).isEqualTo(1_200);
    assertThat(shown.getHeight()).isEqualTo(600);
    picture(path, new byte[0]);
    assertThat(visitor.get(path).document().select("main img")).isEmpty();
  }

  private Visitor.Page picture(String path, byte[] content) {
    return visitor.upload(visitor.get(path).form("/picture"), Map.of(), "picture", content);
  }
}
