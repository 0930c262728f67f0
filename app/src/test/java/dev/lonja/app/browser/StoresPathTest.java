package dev.lonja.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.SelectOption;
import dev.lonja.app.server.LonjaServer;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The rounds of the yard: tanks, waste, and the Boatyard Cage with its transfers. */
class StoresPathTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();
  @RegisterExtension static final HarbourBrowser BROWSER = new HarbourBrowser();

  private static Page at(Page page, String path) {
    page.navigate(SERVER.url() + path);
    page.waitForLoadState();
    return page;
  }

  private static Page onAPhone() {
    return BROWSER.signedInAs("storekeeper", SERVER.url(), 390, 844);
  }

  private static void press(Page page, String form, String button) {
    HarbourBrowser.tapAndWait(
        page, page.locator(form + " button[type=submit]:has-text('" + button + "')"));
  }

  private static Locator book(Page page) {
    return page.locator("main p:has-text('The book says')");
  }

  /** Dipped with a comma, filled from a note with its warmth, and drawn from for a truck. */
  @Test
  void aTankIsDippedFilledAndDrawnFrom() {
    Page page = at(onAPhone(), "/stores/tanks/1");
    assertThat(book(page)).containsText("1,629 L");
    page.fill("#height", "664,5");
    page.fill("#warmth", "14");
    press(page, "form[action$='/dips']", "Note the dip");
    assertThat(page.locator("ul[aria-label=Dips] > li").first()).containsText("664.5 mm");

    page.locator("main .panel a:has-text('FA 15-205')").click();
    page.waitForLoadState();
    page.click("summary:has-text('Receive')");
    page.fill("#rq", "40");
    page.fill("#rc", "150");
    page.fill("#rb", "T-1");
    page.fill("#rl", "W-91");
    page.fill("#rw", "21");
    press(page, "form[action$='/receive']", "Receive");
    assertThat(book(at(page, "/stores/tanks/1"))).containsText("1,669 L");

    at(page, "/oils/top-up?unit=RT-04");
    page.selectOption("#compartment", new SelectOption().setLabel("Engine sump"));
    page.fill("#litres", "2");
    HarbourBrowser.tapAndWait(page, page.locator("button:has-text('Judge')"));
    page.fill("#why", "low at the dipstick");
    HarbourBrowser.tapAndWait(page, page.locator("button[aria-label*='FA 15-205']"));
    assertThat(book(at(page, "/stores/tanks/1"))).containsText("1,667 L");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void aContainerIsFetchedAway() {
    Page page = at(BROWSER.atCounter(SERVER.url()), "/stores/waste/1");
    String form = "form[action$='/collections']";
    page.fill(form + " [name=taken]", "some");
    page.fill(form + " [name=carrier]", "Harbour Waste");
    page.fill(form + " [name=document]", "HW-2027-0315");
    press(page, form, "It was fetched");
    assertThat(page.locator("#taken-wrong")).containsText("some");
    assertThat(page.locator(form + " [name=document]")).hasValue("HW-2027-0315");
    page.fill(form + " [name=taken]", "150");
    press(page, form, "It was fetched");
    assertThat(page.locator("main")).containsText("HW-2027-0315");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** An air filter is asked for, scanned, sent, received in rack Y and laid on a hoist's tray. */
  @Test
  void whatTheCageLacksIsBroughtAndLaidThere() {
    Page page = at(onAPhone(), "/stores/transfers");
    page.fill("#code", "PL 6620-A");
    page.fill("#amount", "1");
    press(page, "form:has(#code)", "Ask");
    page.fill("[data-scan]", "PL 6620-A");
    HarbourBrowser.pressAndWait(page, "Enter");
    assertThat(page.locator("ul[aria-label='To be picked']")).containsText("1 picked");
    press(page, "form[action$='/send']", "It leaves");
    Locator bin = page.locator("[name^=bin-]");
    assertThat(bin).hasValue("Y-03");
    press(page, "main", "It came");
    at(page, "/trays");
    page.locator("tr:has-text('BH-1') a").first().click();
    page.waitForLoadState();
    Locator line = page.locator(".lines > li:has-text('PL 6620-A')").first();
    assertThat(line).containsText("Y-03");
    if (line.locator("[aria-pressed=true]").count() == 0) {
      page.fill("[data-scan]", "PL 6620-A");
      HarbourBrowser.pressAndWait(page, "Enter");
    }
    assertThat(line).hasClass(Pattern.compile("is-laid"));
    assertThat(SERVER.isSound()).isTrue();
  }
}
