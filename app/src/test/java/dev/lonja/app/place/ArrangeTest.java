package dev.lonja.app.place;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.item.Item;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Bins are walked in another order, called otherwise and taken down. */
class ArrangeTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private static Visitor keeper() {
    return SERVER.signedInAs("storekeeper");
  }

  private static List<Item.Bin> walk() {
    return SERVER.store().read(session -> session.items().bins());
  }

  private static List<String> addresses() {
    return walk().stream().map(Item.Bin::address).toList();
  }

  private static FormElement form() {
    return keeper().get("/stores/arrange").form("/stores/arrange");
  }

  /** The last bin is wanted third: it goes before the one that stood there, all others follow. */
  @Test
  void aBinIsWalkedEarlier() {
    List<Item.Bin> before = walk();
    Item.Bin last = before.get(before.size() - 1);
    keeper().submit(form(), Map.of("at-" + last.id(), "3"));
    List<Item.Bin> after = walk();
    assertThat(after.get(2).id()).isEqualTo(last.id());
    assertThat(after.get(3).id()).isEqualTo(before.get(2).id());
    assertThat(after).hasSameSizeAs(before);
    assertThat(SERVER.isSound()).isTrue();
  }

  /** What lies in a bin stays in it; two swap their addresses in one go. */
  @Test
  void twoBinsSwapTheirAddresses() {
    Item.Bin one = walk().get(0);
    Item.Bin other = walk().get(1);
    keeper()
        .submit(
            form(),
            Map.of(
                "address-" + one.id(),
                other.address().toLowerCase(Locale.ROOT),
                "address-" + other.id(),
                one.address()));
    assertThat(walk().get(0))
        .isEqualTo(new Item.Bin(one.id(), other.address(), walk().get(0).walkOrder()));
    assertThat(walk().get(1).address()).isEqualTo(one.address());
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void onlyWhatTheBookDoesNotNameIsTakenDown() {
    Visitor.Page reference = keeper().get("/setup/reference");
    keeper().submit(reference.form("/setup/reference/bins"), Map.of("bins", "Z-01 Z-02"));
    String first = id("Z-01");
    String second = id("Z-02");
    String used =
        SERVER
            .store()
            .<Item>read(session -> session.items().all().get(0))
            .homeBin()
            .id()
            .toString();
    Map<String, String> fields = new HashMap<>();
    form().formData().forEach(field -> fields.put(field.key(), field.value()));
    fields.put("gone-" + first, "yes");
    fields.put("gone-" + used, "yes");
    Visitor.Page refused = keeper().post("/stores/arrange", fields);
    assertThat(refused.words()).contains("is in use, or the Book names it");
    assertThat(addresses()).contains("Z-01");
    assertThat(refused.document().select("[name=gone-" + first + "]").hasAttr("checked")).isTrue();
    keeper().submit(form(), Map.of("gone-" + first, "yes", "address-" + second, "Z-01"));
    assertThat(addresses()).contains("Z-01").doesNotContain("Z-02");
    assertThat(id("Z-01")).isEqualTo(second);
  }

  private static String id(String address) {
    return walk().stream()
        .filter(bin -> bin.address().equals(address))
        .findFirst()
        .orElseThrow()
        .id()
        .toString();
  }

  @Test
  void whatIsWrongStandsAtItsBinAndNothingIsChanged() {
    List<String> before = addresses();
    Item.Bin one = walk().get(0);
    Item.Bin other = walk().get(1);
    Visitor.Page refused =
        keeper()
            .submit(
                form(),
                Map.of("address-" + one.id(), other.address(), "address-" + other.id(), ""));
    assertThat(refused.words()).contains("A bin needs an address.");
    assertThat(keeper().submit(form(), Map.of("at-" + one.id(), "first")).words())
        .contains("\"first\" is not a number");
    assertThat(keeper().submit(form(), Map.of("address-" + one.id(), "A-THIRTEEN-13")).words())
        .contains("13 characters; allowed are 12");
    assertThat(keeper().submit(form(), Map.of("address-" + one.id(), "A 03")).words())
        .contains("allowed are 12, without blanks");
    assertThat(addresses()).isEqualTo(before);
  }

  /** Two people arrange at once: the second is told. */
  @Test
  void whoComesSecondLooksAgain() {
    FormElement mine = form();
    Item.Bin first = walk().get(0);
    keeper().submit(form(), Map.of("at-" + first.id(), "5"));
    List<String> before = addresses();
    assertThat(keeper().submit(mine, Map.of("at-" + first.id(), "7")).words())
        .contains("Someone else changed this meanwhile.");
    assertThat(addresses()).isEqualTo(before);
  }

  @Test
  void theMapIsPrinted() throws IOException {
    Item item = SERVER.store().<Item>read(session -> session.items().all().get(0));
    try (PDDocument map = Loader.loadPDF(keeper().bytes("/stores/map.pdf"))) {
      assertThat(new PDFTextStripper().getText(map))
          .contains("Shelf map", item.homeBin().address(), item.number());
    }
  }
}
