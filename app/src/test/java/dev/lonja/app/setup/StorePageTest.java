package dev.lonja.app.setup;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What the store is called and which units it shows. */
class StorePageTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor administrator = SERVER.signedInAs("administrator");

  /**
   * The truck's sump takes 9.6 L with its filter: 9.6 / 0.946352946 = 10.144 qt. Its meter shows
   * kilometres, so miles stand beside; hours stay alone.
   */
  @Test
  void usUnitsStandBesideWhereTheStoreWantsThem() {
    Visitor storekeeper = SERVER.signedInAs("storekeeper");
    assertThat(storekeeper.get("/fleet/RT-01").words()).contains("9.60 L").doesNotContain(" qt)");
    Visitor.Page page = administrator.get("/setup/store");
    Visitor.Page saved = administrator.submit(page.form("/setup/store"), Map.of("usUnits", "yes"));
    assertThat(saved.document().select("[name=usUnits][checked]")).hasSize(1);
    Visitor.Page unit = storekeeper.get("/fleet/RT-01");
    assertThat(unit.words()).contains("9.60 L (10.1 qt)", " mi)");
    administrator.submit(saved.form("/setup/store"), Map.of("usUnits", "no"));
    assertThat(storekeeper.get("/fleet/RT-01").words()).doesNotContain(" qt)");
  }

  @Test
  void theSeedOfTheTrialsIsAWholeNumber() {
    Visitor.Page page = administrator.get("/setup/store");
    Visitor.Page wrong = administrator.submit(page.form("/setup/store"), Map.of("seed", "1.5"));
    assertThat(wrong.words()).contains("The seed is 1.5");
    assertThat(wrong.document().select("[name=seed]").attr("value")).isEqualTo("1.5");
    assertThat(
            administrator
                .submit(wrong.form("/setup/store"), Map.of("seed", "77"))
                .document()
                .select("[name=seed]")
                .attr("value"))
        .isEqualTo("77");
  }

  /** From one week to half a year; replays and proposals begin with what is set. */
  @Test
  void ordersLastAsLongAsTheStoreSays() {
    Visitor.Page page = administrator.get("/setup/store");
    assertThat(page.document().select("[name=cover]").attr("value")).isEqualTo("8");
    Visitor.Page wrong = administrator.submit(page.form("/setup/store"), Map.of("cover", "27"));
    assertThat(wrong.text(".field-error")).contains("is 27", "26");
    administrator.submit(wrong.form("/setup/store"), Map.of("cover", "6"));
    Visitor buyer = SERVER.signedInAs("buyer");
    assertThat(buyer.get("/buy/replay").text("#cover option[selected]")).isEqualTo("6 weeks");
    administrator.submit(
        administrator.get("/setup/store").form("/setup/store"), Map.of("cover", "8"));
  }

  @Test
  void aStoreHasAName() {
    Visitor.Page page = administrator.get("/setup/store");
    assertThat(administrator.submit(page.form("/setup/store"), Map.of("name", " ")).words())
        .contains("The store's name is missing.");
    String long61 = "x".repeat(61);
    assertThat(administrator.submit(page.form("/setup/store"), Map.of("name", long61)).words())
        .contains("The store's name has 61 characters; allowed are 60.");
    assertThat(administrator.get("/setup/store").document().select("[name=name]").attr("value"))
        .isNotBlank();
  }
}
