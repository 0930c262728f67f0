package dev.lonja.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import dev.lonja.app.demo.DemoStore;
import dev.lonja.app.server.LonjaServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** In the aisle, where there is no network: what is done waits, and is sent once, in order. */
class AisleTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();
  @RegisterExtension static final HarbourBrowser BROWSER = new HarbourBrowser();

  private static final String WAITS = ".aisle [x-text=says]";

  private Page openTray(String unit) {
    Page page = BROWSER.inAisle("storekeeper", SERVER.url());
    page.click("a.tray-block:has-text('" + unit + "')");
    page.waitForLoadState();
    // the page is kept before the network goes
    page.waitForFunction(
        "async () => (await (await caches.open('aisle-pages')).match(location.pathname))"
            + " !== undefined");
    return page;
  }

  private static void offline(Page page, boolean is) {
    page.context().setOffline(is);
  }

  private static void scan(Page page, String code) {
    page.fill("[data-scan]", code);
    HarbourBrowser.pressAndWait(page, "Enter");
  }

  @Test
  void layingGoesOnWithoutTheNetworkAndIsSentInOrder() {
    Page page = openTray("GN-2");
    String path = page.url();
    Locator open = page.locator(".lines > li:not(.is-laid)");
    assertThat(open).hasCount(3);
    String first = open.first().getAttribute("data-line");
    String number = open.nth(1).getAttribute("data-words");

    offline(page, true);
    HarbourBrowser.tapAndWait(page, open.first().locator(".tick"));
    assertThat(page).hasURL(path);
    assertThat(page.locator("[data-line='" + first + "']")).containsText("not sent yet");
    assertThat(page.locator(WAITS)).containsText("1 thing that was done is not sent yet");
    assertThat(page.locator(".title a:has-text('Hand over')")).isHidden();

    scan(page, number.toLowerCase());
    assertThat(page.locator(WAITS)).containsText("2 things that were done are not sent yet");
    page.fill("[data-scan]", "no such 77");
    page.keyboard().press("Enter");
    assertThat(page.locator(".aisle")).containsText("\"no such 77\" is on no line of this tray");

    // nothing of it is in the store, and a page loaded anew still knows of it
    assertThat(laid(path)).isEqualTo(3);
    page.reload();
    assertThat(page.locator(WAITS)).containsText("2 things that were done are not sent yet");

    offline(page, false);
    assertThat(page.locator(".title"))
        .containsText(
            "5 of 6 laid", new LocatorAssertions.ContainsTextOptions().setTimeout(20_000));
    assertThat(page.locator(".aisle")).isHidden();
    assertThat(laid(path)).isEqualTo(5);
    assertThat(SERVER.isSound()).isTrue();
  }

  /**
   * The whole day on a phone, with the thumb and the network: WB-4's tray is laid in full; it is
   * handed over with both meters, the oil poured is noted at take-back, and its clocks restart.
   */
  @Test
  void aDayOnAPhone() {
    Page page = BROWSER.inAisle("storekeeper", SERVER.url());
    page.click("a.tray-block:has-text('WB-4')");
    page.waitForLoadState();
    String path = page.url();
    // one piece is taken off again and laid by its number
    Locator first = page.locator(".lines > li").first();
    String number = first.getAttribute("data-words");
    HarbourBrowser.tapAndWait(page, first.locator(".tick"));
    assertThat(page.locator(".lines > li.is-laid")).hasCount(13);
    scan(page, number);
    assertThat(page.locator(".title")).containsText("14 of 14 laid");
    page.tap(".title a:has-text('Hand over')");
    page.fill("#mechanic", "workshop");
    for (Locator meter : page.locator("#hand-over [name^=meter-]").all()) {
      meter.fill(meter.getAttribute("placeholder").replaceAll("[^0-9.]", ""));
    }
    HarbourBrowser.tapAndWait(page, page.locator("#hand-over button.main"));
    assertThat(page.locator(".title")).containsText("to workshop on 15 Mar");
    for (Locator looked : page.locator("#back select:has(option[value=sound])").all()) {
      looked.selectOption("sound");
    }
    page.locator("#back [name^=poured-]").first().fill("14.1");
    HarbourBrowser.tapAndWait(page, page.locator("#back button.main"));
    assertThat(page.locator(".title")).containsText("back from workshop");
    assertThat(page).hasURL(path);
    page.navigate(SERVER.url() + "/fleet/WB-4");
    assertThat(page.locator("main")).containsText("15 Mar at");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** Meanwhile somebody at the counter has put the tray back on the shelves. */
  @Test
  void whatCannotBeDoneAnyMoreIsShownWithItsReason() {
    Page page = openTray("RT-04");
    offline(page, true);
    HarbourBrowser.tapAndWait(
        page, page.locator(".lines > li:not(.is-laid) .tick:not([disabled])").first());
    String path = page.url();
    Page counter = BROWSER.atCounter(SERVER.url());
    counter.navigate(path);
    counter.click("text=Put the whole tray back on the shelves");
    counter.waitForURL("**/trays");

    offline(page, false);
    assertThat(page.locator(".aisle"))
        .containsText(
            "This tray is not open any more",
            new LocatorAssertions.ContainsTextOptions().setTimeout(20_000));
    assertThat(page.locator(".aisle")).containsText("not done");
    page.click("text=Leave it");
    assertThat(page.locator(".aisle")).isHidden();
  }

  /** What came back at the machine's side stands in the Book with the time at which it did. */
  @Test
  void whatCameBackStandsWithItsOwnTime() {
    Page page = BROWSER.inAisle("storekeeper", SERVER.url());
    page.navigate(SERVER.url() + "/trays");
    page.click("tr:has-text('out') a.code");
    page.waitForLoadState();
    page.waitForFunction(
        "async () => (await (await caches.open('aisle-pages')).match(location.pathname))"
            + " !== undefined");
    String number = page.locator("[data-line]:has([name=back])").first().getAttribute("data-words");
    offline(page, true);
    scan(page, number);
    assertThat(page.locator(WAITS)).containsText("1 thing that was done is not sent yet");
    offline(page, false);
    assertThat(page.locator(".aisle"))
        .isHidden(new LocatorAssertions.IsHiddenOptions().setTimeout(20_000));
    page.navigate(SERVER.url() + "/book");
    assertThat(page.locator("tbody tr").first()).containsText("sent later");
    assertThat(page.locator("tbody tr").first()).containsText(number);
  }

  /** The whole job comes back in the yard, with what was found; it is sent when the network is. */
  @Test
  void aJobIsTakenBackWithoutTheNetwork() {
    Page counter = BROWSER.atCounter(SERVER.url());
    counter.navigate(SERVER.url() + "/trays/new");
    counter.check("[name=purpose][value='leak']");
    counter.fill("[name=unit]", "SW-1");
    counter.fill("[name=day]", "2027-03-15");
    counter.fill("[name=title]", "drips");
    counter.click("button:has-text('Start the tray')");
    String path = counter.url().replace(SERVER.url(), "");
    counter.navigate(SERVER.url() + "/items/" + SERVER.itemId("HC 16-25"));
    counter.fill("form[action$='/put-on'] [name=quantity]", "1");
    counter.click("form[action$='/put-on'] button");
    counter.navigate(SERVER.url() + path);
    counter.click(".tick");
    counter.fill("#mechanic", "workshop");
    counter.click("#hand-over button.main");

    Page page = BROWSER.inAisle("storekeeper", SERVER.url());
    page.navigate(SERVER.url() + path);
    page.waitForFunction(
        "async () => (await (await caches.open('aisle-pages')).match(location.pathname))"
            + " !== undefined");
    offline(page, true);
    page.fill("#found", "hose chafes at the frame");
    HarbourBrowser.tapAndWait(page, page.locator("#back button.main"));
    assertThat(page.locator(WAITS)).containsText("1 thing that was done is not sent yet");
    assertThat(page.locator(".title")).containsText("to workshop");
    offline(page, false);
    assertThat(page.locator(".title"))
        .containsText(
            "back from workshop", new LocatorAssertions.ContainsTextOptions().setTimeout(20_000));
    page.navigate(SERVER.url() + "/fleet/SW-1");
    assertThat(page.locator("main")).containsText("hose chafes at the frame");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** Without having signed out somebody else signs in on the same phone. */
  @Test
  void whatWasKeptForOneIsThrownAwayWhenAnotherSignsIn() {
    Page page = openTray("RT-02");
    String path = page.url().replace(SERVER.url(), "");
    page.context().clearCookies();
    page.navigate(SERVER.url() + "/sign-in");
    page.fill("#name", "workshop");
    page.fill("#password", DemoStore.PASSWORD);
    page.keyboard().press("Enter");
    page.waitForURL(address -> !address.contains("sign-in"));
    page.waitForFunction(
        "async path => (await (await caches.open('aisle-pages')).match(path)) === undefined", path);
  }

  private static int laid(String path) {
    return SERVER
        .store()
        .read(
            session ->
                (int)
                    session
                        .trays()
                        .byId(dev.lonja.core.tray.TrayId.valueOf(path.replaceAll(".*/", "")))
                        .orElseThrow()
                        .lines()
                        .stream()
                        .filter(line -> line.isLaid())
                        .count());
  }

  /** Bin and pieces are scanned, the figure waits for the network and is sent once. */
  @Test
  void aBinIsCountedWithoutTheNetwork() {
    Page page = BROWSER.inAisle("storekeeper", SERVER.url());
    page.click("main a[href='/stores/counts']");
    page.waitForLoadState();
    page.waitForFunction(
        "async () => (await (await caches.open('aisle-pages')).match('/stores/counts'))"
            + " !== undefined");
    Locator bin = page.locator("[data-bin]").last();
    String address = bin.getAttribute("data-bin");
    offline(page, true);
    page.fill("[data-scan]", address.toLowerCase());
    page.keyboard().press("Enter");
    assertThat(page.locator(".is-at")).hasAttribute("data-bin", address);
    Locator row = bin.locator("[data-count]").first();
    for (int scanned = 1; scanned <= 2; scanned++) {
      page.fill("[data-scan]", row.getAttribute("data-words"));
      page.keyboard().press("Enter");
      assertThat(row.locator("input.figure")).hasValue(String.valueOf(scanned));
    }
    page.fill("[data-scan]", "no such 77");
    page.keyboard().press("Enter");
    assertThat(bin.locator("[name=found]")).hasValue("no such 77");
    bin.locator("[name=found]").fill("");
    bin.locator("[name=foundCounted]").fill("");
    for (Locator one : bin.locator("[data-count]").all()) {
      one.locator("input.figure").fill(there(one.getAttribute("data-count"), address));
    }
    // what is typed into another bin would be lost with the page
    Locator other = page.locator("[data-bin]").first().locator("input.figure").first();
    other.fill("1");
    bin.locator("button[type=submit]").tap();
    assertThat(page.locator(".count-says")).containsText("is not sent yet. Send it first.");
    other.fill("");
    HarbourBrowser.tapAndWait(page, bin.locator("button[type=submit]"));
    assertThat(page.locator("[data-bin='" + address + "']")).containsText("not sent yet");
    assertThat(page.locator(WAITS)).containsText("1 thing that was done is not sent yet");

    offline(page, false);
    assertThat(page.locator(".count-done"))
        .containsText(address, new LocatorAssertions.ContainsTextOptions().setTimeout(20_000));
    assertThat(page.locator("[data-bin='" + address + "']")).hasCount(0);
    assertThat(SERVER.isSound()).isTrue();
  }

  /** How many are to be found in the bin. */
  private static String there(String item, String address) {
    return SERVER
        .signedInAs("storekeeper")
        .get("/stores/counts?book=yes&at=" + address)
        .document()
        .select("[data-bin=" + address + "] [data-count=" + item + "] .count-what .figure")
        .text()
        .replaceAll("[^0-9.]", "");
  }
}
