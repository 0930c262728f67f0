package dev.lonja.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import dev.lonja.app.server.LonjaServer;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The storekeeper's day, on the screen. */
class DayPathTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();
  @RegisterExtension static final HarbourBrowser BROWSER = new HarbourBrowser();

  /**
   * GN-2's yearly service is on Monday's shelf, begun. The rest is scanned, it is handed over at
   * 189.5 h, its oil leaves the forecast, and it is taken back with the keyboard alone; undoing
   * both brings everything back.
   */
  @Test
  void fromTodayOverTheTrayToAheadAndBack() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.click("a.tray-block:has-text('GN-2')");
    assertThat(page.locator(".title")).containsText("3 of 6 laid");
    assertThat(page.locator(".title button.main")).isDisabled();
    // the title stands before the lines beneath it have all arrived
    assertThat(page.locator(".lines > li:not(.is-laid)")).hasCount(3);
    page.waitForLoadState();
    String tray = page.url();

    List<String> missing = page.locator(".lines > li:not(.is-laid) .plate-number").allInnerTexts();
    for (String number : missing) {
      scan(page, number.toLowerCase());
      // a line of two pieces takes two scans
      if (page.locator(".lines > li:not(.is-laid):has-text('" + number + "')").count() > 0) {
        scan(page, number.toLowerCase());
      }
    }
    assertThat(page.locator(".title")).containsText("6 of 6 laid");

    String oil = "/ahead/" + itemOf(page, "FA 15-20");
    page.navigate(SERVER.url() + oil + "?week=2027-03-15");
    assertThat(page.locator("main")).containsText("17.85 L less 17.5 L on its tray");

    page.navigate(tray);
    page.waitForLoadState();
    page.keyboard().press("F8");
    assertThat(page.locator("#mechanic")).isFocused();
    page.keyboard().type("workshop");
    page.keyboard().press("Tab");
    page.keyboard().type("189.5");
    page.keyboard().press("Enter");
    assertThat(page.locator("#pin")).isFocused();
    page.keyboard().press("Enter");
    assertThat(page.locator(".title")).containsText("to workshop on 15 Mar");

    page.navigate(SERVER.url() + oil + "?week=2027-03-15");
    assertThat(page.locator("section:last-of-type tbody")).not().containsText("GN-2");
    page.navigate(SERVER.url() + "/book");
    assertThat(page.locator("tbody tr").first()).containsText("handed over to workshop");

    page.navigate(tray);
    page.waitForLoadState();
    // what was looked at was found sound
    for (Locator looked : page.locator("#back select:has(option[value=sound])").all()) {
      looked.focus();
      page.keyboard().type("s");
      page.keyboard().press("ArrowDown");
    }
    page.keyboard().press("F8");
    assertThat(page.locator(".title")).containsText("back from workshop");
    page.navigate(SERVER.url() + "/fleet/GN-2");
    assertThat(page.locator("main")).containsText("15 Mar at 189.5 h");
    assertThat(page.locator("main")).not().containsText("no record");
    page.navigate(tray);
    page.fill("#reason", "it runs still");
    page.click("text=It is out again");
    assertThat(page.locator(".title")).containsText("out");
    page.fill("#reason", "the mains failed, it is running");
    page.click("text=Undo the hand-over");
    assertThat(page.locator(".title")).containsText("0 of 6 laid");
    page.navigate(SERVER.url() + oil + "?week=2027-03-15");
    assertThat(page.locator("section:last-of-type tbody")).containsText("GN-2");
    page.navigate(SERVER.url() + "/book");
    assertThat(page.locator("tbody tr").first()).containsText("correction");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** Alone with the keyboard: find the unit, start its tray, lay, leave out, hand over. */
  @Test
  void aTrayWithTheKeyboardAlone() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.keyboard().press("F2");
    page.keyboard().type("RT-01");
    page.keyboard().press("Enter");
    assertThat(page.locator("h1")).hasText("RT-01");
    page.waitForLoadState();
    page.keyboard().press("F8");
    assertThat(page.locator("[data-scan]")).isFocused();

    // every line's tick is reached by Tab and the arrows; the first one that can be laid is laid
    Locator ticks = page.locator(".tick:not([disabled])");
    int before = page.locator(".is-laid").count();
    tabTo(page, ".tick");
    HarbourBrowser.pressAndWait(page, "Enter");
    assertThat(page.locator(".is-laid")).hasCount(before + 1);
    tabTo(page, ".tick");
    page.keyboard().press("ArrowDown");
    assertThat(page.evaluate("document.activeElement.closest('[data-list]') !== null"))
        .isEqualTo(true);

    // whatever cannot or need not be laid is left out
    while (page.locator(".lines > li:not(.is-laid)").count() > 0) {
      Locator first = page.locator(".lines > li:not(.is-laid)").first();
      Locator tick = first.locator(".tick:not([disabled])");
      if (tick.count() > 0) {
        tick.focus();
      } else {
        first.locator("summary:has-text('leave out')").focus();
        page.keyboard().press("Enter");
        first.locator("input[name=why]").focus();
        page.keyboard().type("none to be had");
      }
      HarbourBrowser.pressAndWait(page, "Enter");
    }
    assertThat(ticks.first()).hasAttribute("aria-pressed", "true");
    page.keyboard().press("F8");
    page.keyboard().type("workshop");
    for (Locator meter : page.locator("[name^=meter-]").all()) {
      page.keyboard().press("Tab");
      page.keyboard().type(meter.getAttribute("placeholder").replaceAll("[^0-9.]", ""));
    }
    page.keyboard().press("Enter");
    assertThat(page.locator("#pin")).isFocused();
    page.keyboard().press("Enter");
    assertThat(page.locator(".title")).containsText("to workshop on 15 Mar");
  }

  /** A scanner types into whatever page is open; the code lands in the find field. */
  @Test
  void aScanAnywhereLandsInTheFindField() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/fleet");
    page.keyboard().type("TM-3308");
    page.keyboard().press("Enter");
    assertThat(page.locator(".title")).containsText("TM-3308");
    page.waitForLoadState();
    page.keyboard().press("Alt+6");
    assertThat(page.locator("h1")).hasText("Ahead");
    page.waitForLoadState();
    page.keyboard().press("Escape");
    assertThat(page.locator(".title")).containsText("TM-3308");
    page.waitForLoadState();
    page.keyboard().press("Shift+?");
    assertThat(page.locator("[role=dialog]")).containsText("find or scan");
    page.keyboard().press("Escape");
    assertThat(page.locator("[role=dialog]")).isHidden();
  }

  /** F4 on an item puts it on the open tray, which stays at the right edge. */
  @Test
  void anythingFoundIsPutOnTheOpenTray() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.click("a.tray-block:has-text('RT-02')");
    page.waitForLoadState();
    page.keyboard().press("F2");
    page.keyboard().type("hc 9999");
    page.keyboard().press("Enter");
    assertThat(page.locator("main")).containsText("No item, unit, bin or tray");
    page.waitForLoadState();
    page.keyboard().press("F2");
    page.keyboard().type("hc 12-16");
    page.keyboard().press("Enter");
    // the open tray stands beside the page before this one too
    assertThat(page.locator("h1")).containsText("HC 12-16");
    assertThat(page.locator(".tray-column")).containsText("RT-02");
    page.waitForLoadState();
    page.keyboard().press("F4");
    assertThat(page.locator(".lines")).containsText("HC 12-16");
  }

  /** Pressing twice in a hurry books once. */
  @Test
  void aSecondPressBooksNothing() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/items/" + itemOf(page, "HC 16-25"));
    String before = page.locator("main .figure").first().innerText();
    page.fill("#issue-quantity", "1");
    page.fill("#issue-reason", "in a hurry");
    page.locator("button:text-is('Issue')").dblclick();
    assertThat(page.locator("tbody tr:has-text('in a hurry')")).hasCount(1);
    page.waitForLoadState();
    assertThat(Integer.parseInt(page.locator("main .figure").first().innerText()))
        .isEqualTo(Integer.parseInt(before) - 1);
  }

  private static void scan(Page page, String code) {
    page.keyboard().type(code);
    HarbourBrowser.pressAndWait(page, "Enter");
    assertThat(page.locator(".notice.bad")).hasCount(0);
  }

  private static void tabTo(Page page, String css) {
    for (int i = 0; i < 60; i++) {
      page.keyboard().press("Tab");
      if (Boolean.TRUE.equals(page.evaluate("css => document.activeElement.matches(css)", css))) {
        return;
      }
    }
    throw new AssertionError("Tab does not reach " + css);
  }

  private static String itemOf(Page page, String number) {
    page.navigate(SERVER.url() + "/find?q=" + number.replace(" ", "+"));
    return page.url().replaceAll(".*/items/", "");
  }
}
