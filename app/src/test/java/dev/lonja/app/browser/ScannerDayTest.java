package dev.lonja.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * A service of AT-2 with nothing but a scanner, one meter value and a PIN: no mouse, and no finger
 * on the screen. The workshop's badge says HB-7, its PIN is 4711.
 */
class ScannerDayTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();
  @RegisterExtension static final HarbourBrowser BROWSER = new HarbourBrowser();

  @BeforeAll
  static void giveBadgeAndPin() {
    Visitor administrator = SERVER.signedInAs("administrator");
    String path = "/setup/people/" + SERVER.personId("workshop");
    administrator.submit(administrator.get(path).form("/pin"), Map.of("pin", "4711"));
    administrator.submit(administrator.get(path).form("/badge"), Map.of("badge", "HB-7"));
  }

  /** A scanner types a code and sends it. */
  private static void scan(Page page, String code) {
    page.keyboard().type(code);
    HarbourBrowser.pressAndWait(page, "Enter");
  }

  @Test
  void aTrayIsLaidHandedOverAndTakenBack() {
    Page page = BROWSER.atCounter(SERVER.url());
    scan(page, "AT-2");
    HarbourBrowser.pressAndWait(page, "F8");
    String tray = page.locator("h1 .mono").first().innerText();
    List<String> numbers = page.locator(".lines .plate-number").allInnerTexts();
    assertThat(numbers).hasSizeGreaterThanOrEqualTo(8);
    for (String number : numbers) {
      String open = ".lines > li:not(.is-laid):has-text('" + number + "')";
      while (page.locator(open).count() > 0) {
        // a washer's size is scanned as its label prints it, typed with an x
        scan(page, number.replace('×', 'x'));
      }
    }
    assertThat(page.locator(".title")).containsText("ready");

    // a wrong scan stands selected, and the next one replaces it
    scan(page, "nothing at all");
    assertThat(page.locator("main")).containsText("No item has the number");
    scan(page, "HB-7");
    assertThat(page.locator("#mechanic")).hasValue("workshop");
    Locator meter = page.locator("[name^=meter-]");
    assertThat(meter).isFocused();
    page.keyboard().type(meter.getAttribute("placeholder").replaceAll("[^0-9.]", ""));
    page.keyboard().press("Enter");
    assertThat(page.locator("#pin")).isFocused();
    scan(page, "4711");
    assertThat(page.locator(".title")).containsText("to workshop on 15 Mar");

    // the card's code finds the tray; what was not used is scanned back
    scan(page, "HB nothing");
    page.navigate(SERVER.url() + "/fleet");
    page.waitForLoadState();
    scan(page, tray);
    assertThat(page.locator("h1")).containsText(tray);
    scan(page, numbers.get(0));
    assertThat(page.locator(".lines > li").first()).containsText("1 came back");
    scan(page, page.locator(".lines > li:has(.drum) .plate-number").first().innerText());
    Locator litres = page.locator(".lines > li:has(.drum) input[name=back]").first();
    assertThat(litres).isFocused();
    // more than went out stands there with the reason, and the next figure replaces it
    scan(page, "999");
    assertThat(litres).hasValue("999");
    assertThat(litres).isFocused();
    page.keyboard().press("Control+a");
    scan(page, "0.2");
    assertThat(page.locator(".lines > li:has(.drum)").first()).containsText("200 mL came back");
    for (Locator looked : page.locator("#back select:has(option[value=sound])").all()) {
      looked.focus();
      page.keyboard().press("ArrowDown");
    }
    HarbourBrowser.pressAndWait(page, "F8");
    assertThat(page.locator(".title")).containsText("back from workshop");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** The Bench's scanner reads for the page beside it: on a tray it lays, elsewhere it finds. */
  @Test
  void whatTheBenchScansLandsOnThePageBesideIt() {
    Page tray = BROWSER.atCounter(SERVER.url());
    Page bench = tray.context().newPage();
    bench.navigate(SERVER.url() + "/bench");
    bench.waitForLoadState();
    tray.bringToFront();
    tray.navigate(SERVER.url() + "/stores");
    tray.waitForLoadState();
    bench.fill("form[x-data=scans] [name=code]", "PL 4107-B");
    bench.locator("form[x-data=scans] button").click();
    assertThat(bench.locator("form[x-data=scans] [role=status]"))
        .hasText("PL 4107-B landed on Stores · Lonja.");
    assertThat(tray.locator("main")).containsText("PL 4107-B");
    tray.close();
    bench.locator("form[x-data=scans] button").click();
    assertThat(bench.locator("form[x-data=scans] [role=status]"))
        .hasText("No other page of Lonja is open in this browser.");
  }

  /** Letters do nothing to a tick, so they are a scan's or meant for the field that finds. */
  @Test
  void aScanLandsThoughTheFocusStandsOnATick() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/trays/new");
    page.waitForLoadState();
    page.locator("input[name=purpose]").first().focus();
    page.keyboard().type("RT-04");
    assertThat(page.locator("[data-find]")).hasValue("RT-04");
    assertThat(page.locator("[data-find]")).isFocused();
  }

  /**
   * Letters choose in a list; two at once are a scanner's, and the list keeps what it had. The two
   * keys are sent by the page itself, since the pace of a driven keyboard is the machine's.
   */
  @Test
  void aScanLandsThoughTheFocusStandsInAList() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/fleet/new");
    page.waitForLoadState();
    Locator list = page.locator("main select").first();
    list.focus();
    String chosen = list.inputValue();
    list.evaluate(
        "list => 'RT'.split('').forEach(key => list.dispatchEvent("
            + "new KeyboardEvent('keydown', {key, bubbles: true, cancelable: true})))");
    assertThat(page.locator("[data-find]")).isFocused();
    page.keyboard().type("-04");
    assertThat(page.locator("[data-find]")).hasValue("RT-04");
    assertThat(list).hasValue(chosen);
  }
}
