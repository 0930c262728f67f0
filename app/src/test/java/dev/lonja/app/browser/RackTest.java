package dev.lonja.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Jobs are moved on the rack by hand and by key, and the trays of the week are made at one go. */
class RackTest {

  private static final String WED = "[data-day='2027-03-17']";
  private static final String THU = "[data-day='2027-03-18']";
  private static final String FRI = "[data-day='2027-03-19']";

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();
  @RegisterExtension static final HarbourBrowser BROWSER = new HarbourBrowser();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private static Locator job(Page page, String day, String unit) {
    return page.locator(day + " .tray-block:has-text('" + unit + "')");
  }

  private Page rack() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/");
    page.waitForLoadState();
    return page;
  }

  /** FL-7 is planned for Wednesday: dragged to Friday, then by key back to Thursday. */
  @Test
  void aTrayIsMoved() {
    Page page = rack();
    job(page, WED, "FL-7").dragTo(page.locator(FRI + " .shelf-day"));
    assertThat(job(page, FRI, "FL-7")).isVisible();
    assertThat(job(page, WED, "FL-7")).hasCount(0);
    job(page, FRI, "FL-7").focus();
    page.keyboard().press("Alt+ArrowUp");
    assertThat(job(page, THU, "FL-7")).isVisible();
    // it stays where it is beside the shelves
    job(page, THU, "FL-7").dragTo(page.locator("h1"));
    assertThat(job(page, THU, "FL-7")).isVisible();
  }

  /** PW-5's tray goes back: the job has none, asks why it moves, and its tray is made again. */
  @Test
  void aJobWithoutATrayAsksWhy() {
    visitor.submit(visitor.get("/trays/15").form("/clear"), Map.of());
    Page page = rack();
    assertThat(page.locator(".title")).containsText("to make");
    job(page, THU, "PW-5").focus();
    page.keyboard().press("Alt+ArrowDown");
    assertThat(page.locator("main input[name=to]").first()).hasValue("2027-03-19");
    page.navigate(SERVER.url() + "/");
    page.locator("button:has-text('Make them')").click();
    assertThat(page.locator(".title")).not().containsText("to make");
    assertThat(job(page, THU, "PW-5")).containsText("to lay");
  }
}
