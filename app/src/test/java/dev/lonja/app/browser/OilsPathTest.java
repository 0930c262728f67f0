package dev.lonja.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import dev.lonja.app.server.LonjaServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The matrix, a spec that shows its effect, a signature and a study, on the screen. */
class OilsPathTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();
  @RegisterExtension static final HarbourBrowser BROWSER = new HarbourBrowser();

  /** By the rail's key to the matrix, a cell opened, and what would do instead. */
  @Test
  void aCellOpensItsReasons() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.keyboard().press("Alt+4");
    assertThat(page.locator("h1")).hasText("Oils");
    page.selectOption("#kind", "gear_oil");
    page.click("button:has-text('Show')");
    page.waitForLoadState();
    page.locator("a.verdict[aria-label^='Nasa EP in Gearbox']").first().focus();
    page.keyboard().press("Enter");
    assertThat(page.locator("#reasons")).containsText("lacks API GL-4");
    assertThat(page.locator("#reasons"))
        .containsText("From the shelf instead: Orvane Nasa Sincro meets it");
  }

  /** While the ash is typed the page says what it would mean; nothing is saved by that. */
  @Test
  void aSpecShowsItsEffectWhileItIsTyped() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/oils/specs/1/edit");
    assertThat(page.locator("#effect")).containsText("Met by 1 product, 1 on the shelf.");
    page.fill("#ash", "1.2");
    assertThat(page.locator("#effect")).containsText("No product meets it without a signature.");
    assertThat(page.locator("#effect")).containsText("ash 1.45 %, allowed is at most 1.2 %");
    page.fill("#grade-1", "12W-40");
    assertThat(page.locator("#effect")).containsText("\"12W-40\" is not a grade of engine oil");
    page.navigate(SERVER.url() + "/oils/specs/1");
    assertThat(page.locator("main")).not().containsText("ash at most");
  }

  /** Sereno's ash is not known: on RT-05's tray it lies only with a name under it. */
  @Test
  void aSignatureGoesWithTheTray() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.click("a.tray-block:has-text('RT-05')");
    page.waitForLoadState();
    String tray = page.url();
    page.click(".lines li:has-text('Cold unit engine.') a:has-text('packs, others')");
    page.waitForLoadState();
    page.click("h1 a:has-text('Cold unit engine')");
    page.waitForLoadState();
    page.keyboard().press("F8");
    page.waitForURL("**/edit");
    page.fill("#ash", "1.2");
    page.keyboard().press("F8");
    assertThat(page.locator("main")).containsText("ash at most 1.2 %");
    page.navigate(tray);
    page.click(".lines li:has-text('Cold unit engine.') a:has-text('packs, others')");
    page.waitForLoadState();
    page.fill("#why", "Grua is kept for the forklifts");
    page.fill("#signedBy", "workshop foreman");
    page.click("button:has-text('Sign: SE 15-20')");
    assertThat(page.locator(".lines")).containsText("signed by workshop foreman");
    assertThat(page.locator(".lines")).containsText("instead of GR 1040-20");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void aStudyIsMadeWithOneKey() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/oils/studies");
    page.keyboard().press("F8");
    page.waitForURL("**/oils/studies/*");
    assertThat(page.locator("main")).containsText("Change-over, the old stock first");
    page.keyboard().press("F8");
    assertThat(page.locator(".notice.good")).containsText("change over by this study");
  }
}
