package dev.lonja.app.item;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.quantity.Quantity;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Kits held against services, broken, made and laid. */
class KitTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page kit(String number, String service) {
    String path = "/items/" + SERVER.itemId(number) + "/kit";
    Visitor.Page page = visitor.get(path);
    String value = page.document().select("option:contains(" + service + ")").attr("value");
    return visitor.get(path + "?service=" + value.replace(" ", "+").replace(",", "%2C"));
  }

  /**
   * The kit of the carrier is exact but for the drive seal that it brings twice and so does the
   * job.
   */
  @Test
  void whatAKitCoversLacksAndLeaves() {
    Visitor.Page page = kit("KIT T42", "Corvane T7, 4.2: Small service");
    assertThat(page.words()).contains("The kit covers 2 pieces; 1 missing, 3 left over.");
    assertThat(page.document().select("tr:contains(missing)").text()).contains("Fan belt");
    assertThat(page.document().select("tr:contains(left over)").text())
        .contains("RV 2210-4", "PL 6620-A", "HC 16-25");
    assertThat(kit("KIT T42", "Marlstone 120: Yearly service").words())
        .contains("The kit covers nothing of this service.");
    assertThat(kit("KIT AT7", "Lintrel Duo 700: Oil, three drains").words())
        .contains("The kit covers 5 pieces; 0 missing, 1 left over.");
  }

  @Test
  void brokenAndMadeAgainTheLedgerAgrees() {
    String path = "/items/" + SERVER.itemId("KIT S50") + "/kit";
    Quantity kits = SERVER.onHand("KIT S50");
    Quantity plugs = SERVER.onHand("OS Z09");
    Visitor.Page page = visitor.get(path);
    for (String wrong : new String[] {"0", "1.5", "99", ""}) {
      assertThat(visitor.submit(page.form("/break"), Map.of("kits", wrong)).words())
          .contains("Nothing was changed.");
    }
    visitor.submit(page.form("/break"), Map.of("kits", "2"));
    assertThat(SERVER.onHand("KIT S50")).isEqualTo(kits.minus(Quantity.pieces(2)));
    assertThat(SERVER.onHand("OS Z09")).isEqualTo(plugs.plus(Quantity.pieces(2)));
    visitor.submit(visitor.get(path).form("/make"), Map.of("kits", "1"));
    assertThat(SERVER.onHand("KIT S50")).isEqualTo(kits.minus(Quantity.pieces(1)));
    assertThat(SERVER.onHand("OS Z09")).isEqualTo(plugs.plus(Quantity.pieces(1)));
    Visitor.Page plug = visitor.get("/items/" + SERVER.itemId("OS Z09"));
    assertThat(plug.words()).contains("kit broken", "kit made", "KIT S50");
    // half a kit undone would make stock out of nothing
    assertThat(visitor.submit(plug.form("/correct"), Map.of("reason", "by mistake")).words())
        .contains("is one line of a kit");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void whatIsNotThereIsNamedForEveryPart() {
    String path = "/items/" + SERVER.itemId("KIT T42") + "/kit";
    assertThat(visitor.submit(visitor.get(path).form("/make"), Map.of("kits", "3")).words())
        .contains("RV 2210-4: 3 wanted, 0 free.")
        .doesNotContain("Cu 14×18×1.5: 3 wanted");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void aKitOnATrayTakesThePlaceOfWhatItCovers() {
    Visitor.Page tray =
        visitor.get(visitor.get("/").document().select("a.tray-block:contains(VN-2)").attr("href"));
    String id = tray.path().replaceAll(".*/", "");
    Visitor.Page kit = visitor.get("/items/" + SERVER.itemId("KIT V23") + "/kit");
    Visitor.Page laid = visitor.submit(kit.form("/kit-on-tray"), Map.of("trayId", id));
    assertThat(laid.path()).isEqualTo(tray.path());
    assertThat(laid.document().select(".lines > li:contains(KIT V23)").text())
        .contains("what is left over comes back");
    assertThat(laid.document().select(".lines .plate-number:contains(RV 1180-2)")).isEmpty();
    assertThat(laid.document().select(".lines > li:contains(OR 68×3 NBR)")).hasSize(1);
  }

  /**
   * The kit of the small engines on a van's tray: it is for another engine, and of what is in it
   * each thing that the van has no place for is named, before anything is laid.
   */
  @Test
  void aKitForOtherMachinesIsJudgedLineByLine() {
    Visitor.Page tray =
        visitor.get(visitor.get("/").document().select("a.tray-block:contains(VN-2)").attr("href"));
    String id = tray.path().replaceAll(".*/", "");
    Visitor.Page kit = visitor.get("/items/" + SERVER.itemId("KIT S50") + "/kit");
    String asked =
        visitor.submit(kit.form("/kit-on-tray"), Map.of("trayId", id, "why", "")).words();
    assertThat(asked)
        .contains(
            "KIT S50 is for engine TB 9, 5 kW to 8 kW, and that is not noted of VN-2's variant.",
            "In it Al 12×16×1.5 is not known to fit at VN-2's places for such parts (Sump plug seal).",
            "Say what it is for, and the kit is put on.");
    assertThat(visitor.get(tray.path()).document().select(".lines > li:contains(KIT S50)"))
        .isEmpty();
  }

  /** Held against a truck with the other engine the kit says so; its range is changed and kept. */
  @Test
  void whichMachinesAKitIsMadeFor() {
    assertThat(kit("KIT T42", "Corvane T7, 5.1: Small service").words())
        .contains("It is not made for Corvane T7, 5.1. The kit covers");
    Visitor.Page page = visitor.get("/items/" + SERVER.itemId("KIT T42") + "/kit");
    Visitor.Page before = visitor.get(page.path());
    assertThat(page.words()).contains("Corvane T7, engine K4-42.");
    Visitor.Page wrong =
        visitor.submit(page.form("/kit-ranges"), Map.of("least-0", "120", "most-0", "100 hp"));
    assertThat(wrong.words())
        .contains("The highest power is 74.57 kW; allowed is the lowest, 120 kW, or more.");
    assertThat(wrong.document().select("[name=most-0]").attr("value")).isEqualTo("100 hp");
    assertThat(visitor.submit(page.form("/kit-ranges"), Map.of("least-0", "strong")).words())
        .contains(
            "The lowest power is \"strong\"; allowed is 1 W to 100,000 kW, with kW, W, hp or PS.");
    Visitor.Page saved =
        visitor.submit(page.form("/kit-ranges"), Map.of("engine-0", "", "most-0", "130 PS"));
    assertThat(saved.words()).contains("Corvane T7, up to 95.615 kW.");
    assertThat(visitor.submit(before.form("/kit-ranges"), Map.of("engine-0", "K4-51")).words())
        .contains("Someone else changed this meanwhile.");
    visitor.submit(saved.form("/kit-ranges"), Map.of("engine-0", "K4-42", "most-0", ""));
    assertThat(SERVER.isSound()).isTrue();
  }
}
