package dev.lonja.app.yard;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.browser.HarbourBrowser;
import dev.lonja.app.server.LonjaServer;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** All five machines in a browser. */
@Tag("long")
class MixedYardInBrowserTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.empty();
  @RegisterExtension static final HarbourBrowser BROWSER = new HarbourBrowser();

  @Test
  void fiveMachinesGoIntoAnEmptyStore() {
    YardKeeper yard =
        new YardKeeper(new BrowserScreens(MixedYard.begin(BROWSER, SERVER), SERVER.url()));
    MixedYard.mower(yard);
    MixedYard.bike(yard);
    MixedYard.van(yard);
    MixedYard.estate(yard);
    MixedYard.generator(yard);
    assertThat(SERVER.isSound()).isTrue();
  }
}
