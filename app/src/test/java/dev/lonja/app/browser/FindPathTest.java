package dev.lonja.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Page;
import dev.lonja.app.server.LonjaServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From a number in the hand to a tray that is ready, on the screen. */
class FindPathTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();
  @RegisterExtension static final HarbourBrowser BROWSER = new HarbourBrowser();

  /**
   * A misread number is scanned, the right one opened, what else fits is seen; on FL-2's tray that
   * one is laid instead, and the washer that its box lacks comes by itself and is scanned, too.
   */
  @Test
  void fromScanToTray() {
    Page page = BROWSER.atCounter(SERVER.url());
    // an oily label: O for 0, I for 1
    page.keyboard().type("NT 2O 6I1");
    page.keyboard().press("Enter");
    assertThat(page.locator("tbody")).containsText("reads like it");
    page.waitForLoadState();
    page.click("a.plate:has-text('NT 20 611')");
    assertThat(page.locator(".fits")).containsText("PL 3408-B");
    assertThat(page.locator(".fits")).containsText("Its box lacks");

    page.navigate(SERVER.url() + "/");
    page.click("a.tray-block:has-text('FL-2')");
    page.waitForLoadState();
    press(page, "li:has-text('NT 20 611') .tick");
    page.click("li:has-text('NT 20 611') a:has-text('something else')");
    assertThat(page.locator("h1")).containsText("FL-2");
    page.waitForLoadState();
    page.fill("#reason", "NT 20 611 is kept for FL-3");
    press(page, "li:has-text('PL 3408-B') button:has-text('Lay this')");
    assertThat(page.locator(".lines")).containsText("instead of NT 20 611");
    assertThat(page.locator(".lines")).containsText("Cu 18×22×1.5");
    for (String code : new String[] {"pl3408b", "cu 18×22×1.5"}) {
      page.keyboard().type(code);
      HarbourBrowser.pressAndWait(page, "Enter");
    }
    assertThat(page.locator(".title")).containsText("4 of 4 laid");
    assertThat(page.locator(".title a.main")).containsText("Hand over");
    page.navigate(SERVER.url() + "/find");
    assertThat(page.locator("main")).containsText("NT 2O 6I1");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** The arrows walk the map's numbers; Enter opens one. */
  @Test
  void theMapIsWalkedWithTheKeyboard() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/items/" + SERVER.itemId("PL 4107-B"));
    page.click("a:has-text('Cross-reference')");
    page.waitForLoadState();
    page.click("a:has-text('Map of numbers')");
    page.waitForLoadState();
    page.locator(".number-map a").first().focus();
    page.keyboard().press("ArrowDown");
    page.keyboard().press("ArrowDown");
    Object label = page.evaluate("document.activeElement.getAttribute('aria-label')");
    assertThat(label.toString()).startsWith("Corvane CV 6-3310, ");
    HarbourBrowser.pressAndWait(page, "Enter");
    assertThat(page.locator("h1")).containsText("Corvane CV 6-3310");
  }

  /** A new washer with the keyboard alone; its kind is chosen and its measures are asked for. */
  @Test
  void anItemIsAddedWithTheKeyboard() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/items/new");
    page.locator("#make").focus();
    for (String field : new String[] {"any", "Cu 30×36×2", "Copper washer", "washer"}) {
      // as fast as a person types; what comes faster over a list is taken for a scan
      page.keyboard().type(field, new Keyboard.TypeOptions().setDelay(60));
      page.keyboard().press("Tab");
    }
    HarbourBrowser.pressAndWait(page, "Enter");
    assertThat(page.locator("#p-inner_diameter")).isVisible();
    assertThat(page.locator("#number")).hasValue("Cu 30×36×2");
    page.fill("#p-inner_diameter", "30");
    page.fill("#homeBin", "A-13");
    page.keyboard().press("F8");
    assertThat(page.locator(".title")).containsText("Cu 30×36×2");
    assertThat(page.locator("main")).containsText("30 mm");
  }

  private static void press(Page page, String css) {
    page.evaluate("window.before = true");
    page.click(css);
    page.waitForFunction("() => !window.before && document.readyState === 'complete'");
  }
}
