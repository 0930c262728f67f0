package dev.lonja.app.yard;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.browser.HarbourBrowser;
import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * The store is begun in a browser, the machines go through the same forms without one, which takes
 * a fifth of the time; all five in a browser are in {@link MixedYardInBrowserTest}.
 */
class MixedYardTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.empty();
  @RegisterExtension static final HarbourBrowser BROWSER = new HarbourBrowser();

  /** What a store is made of; what happens in it carries the time of the test. */
  private static final List<String> MADE_OF =
      List.of(
          "bins",
          "capacities",
          "classes",
          "compartments",
          "items",
          "lay_ups",
          "meters",
          "models",
          "part_properties",
          "parts",
          "policies",
          "positions",
          "product_approvals",
          "products",
          "services",
          "spec_approvals",
          "spec_classes",
          "spec_grades",
          "tasks",
          "units",
          "variants");

  @Test
  void fiveMachinesGoIntoAnEmptyStoreAndStandInTheExample() throws IOException {
    MixedYard.begin(BROWSER, SERVER);
    Visitor visitor = SERVER.stranger();
    visitor.signIn(MixedYard.KEEPER, MixedYard.PASSWORD);
    YardKeeper yard = new YardKeeper(new PlainScreens(visitor));
    MixedYard.mower(yard);
    MixedYard.bike(yard);
    MixedYard.van(yard);
    MixedYard.estate(yard);
    MixedYard.generator(yard);
    assertThat(SERVER.isSound()).isTrue();
    Map<String, String> files = SERVER.store().read(session -> session.exchange().files());
    for (String table : MADE_OF) {
      Path example = Path.of("..", "examples", "mixed-yard", table + ".csv");
      assertThat(files.get(table + ".csv").lines())
          .as(table)
          .containsExactlyElementsOf(Files.readAllLines(example));
    }
  }
}
