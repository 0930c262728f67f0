package dev.lonja.app.tank;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.app.server.Visitor.Page;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.item.Item;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.store.tray.Tray;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Jug 1 had engine oil in it yesterday; Jug 3 was cleaned. */
class DispenserPagesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private static final String PATH = "/stores/dispensers";

  private static Visitor keeper() {
    return SERVER.signedInAs("storekeeper");
  }

  private static Element row(Page page, String name) {
    return page.document().selectFirst("li:has(b:matchesOwn(^" + name + "$))");
  }

  private static Page use(String name, String fluid) {
    Page page = keeper().get(PATH);
    Element row = row(page, name);
    String value = row.select("option:contains(" + fluid + ")").attr("value");
    String action = row.select("form[action$=/use]").attr("action");
    return keeper().submit(page.form(action), Map.of("fluid", value));
  }

  @Test
  void whatWasInEachStandsBesideIt() {
    Page page = keeper().get(PATH);
    assertThat(row(page, "Jug 1").text()).contains("Faro", "used by storekeeper, 14 Mar");
    assertThat(row(page, "Jug 3").text()).contains("clean", "cleaned by storekeeper, 13 Mar");
    assertThat(page.words()).contains(" in use, ", " clean");
  }

  /** Another fluid asks for a clean one; once it is cleaned it takes it. */
  @Test
  void anotherFluidAsksForACleanOne() {
    assertThat(use("Jug 2", "Faro").words())
        .contains("Jug 2 had", "in it on 2027-03-12, by storekeeper", "Take a clean one");
    Page page = keeper().get(PATH);
    String clean = row(page, "Jug 2").select("form[action$=/clean]").attr("action");
    assertThat(row(keeper().submit(page.form(clean), Map.of()), "Jug 2").text()).contains("clean");
    assertThat(row(use("Jug 2", "Faro"), "Jug 2").text()).contains("Faro", "used by storekeeper");
  }

  @Test
  void oneMoreIsTakenIntoUseAndOutOfIt() {
    Page page = keeper().get(PATH);
    assertThat(keeper().submit(page.form(PATH), Map.of("name", "JUG-1", "kind", "jug")).words())
        .contains("Each has a name of its own.");
    Page added = keeper().submit(page.form(PATH), Map.of("name", "Jug 9", "kind", "funnel"));
    assertThat(row(added, "Jug 9").text()).contains("funnel", "clean");
    String label = row(added, "Jug 9").select("a[href^=/labels]").attr("href");
    assertThat(keeper().bytes(label)).startsWith('%', 'P', 'D', 'F');
    String out = row(added, "Jug 9").select("form[action$=/retire]").attr("action");
    assertThat(row(keeper().submit(added.form(out), Map.of()), "Jug 9")).isNull();
    assertThat(keeper().submit(added.form(PATH), Map.of("name", "Jug 9", "kind", "jug")).words())
        .contains("Jug 9");
  }

  /** A tray on which one fluid alone is laid: its jug is scanned after it. */
  @Test
  void aJugIsScannedOnTheTray() {
    Tray tray = trayWithOneFluidLaid();
    Product fluid = fluids(tray).get(0);
    for (String name : List.of("Jug 7", "Jug 8")) {
      keeper().submit(keeper().get(PATH).form(PATH), Map.of("name", name, "kind", "jug"));
    }
    use("Jug 7", "Freno");
    Page page = keeper().get("/trays/" + tray.id());
    Page refused = keeper().submit(page.form("/scan"), Map.of("code", "Jug 7"));
    assertThat(refused.words()).contains("Jug 7 had", "Freno", "Take a clean one");
    Page done = keeper().submit(page.form("/scan"), Map.of("code", "jug-8"));
    assertThat(done.words()).contains("With Jug 8.");
    assertThat(row(keeper().get(PATH), "Jug 8").text()).contains(fluid.name(), tray.number());
    assertThat(SERVER.isSound()).isTrue();
  }

  private static Tray trayWithOneFluidLaid() {
    return SERVER.store().<List<Tray>>read(session -> session.trays().open()).stream()
        .filter(tray -> fluids(tray).size() == 1)
        .findFirst()
        .orElseThrow();
  }

  private static List<Product> fluids(Tray tray) {
    return SERVER
        .store()
        .read(
            session ->
                tray.lines().stream()
                    .filter(line -> line.laid().isPositive())
                    .map(TrayLine::itemId)
                    .flatMap(id -> session.items().byId(id).stream())
                    .flatMap((Item item) -> item.product().stream())
                    .distinct()
                    .toList());
  }
}
