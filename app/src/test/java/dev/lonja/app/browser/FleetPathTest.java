package dev.lonja.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import dev.lonja.app.server.LonjaServer;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Readings, an exchanged meter, a what-if and a moved occurrence, on the screen. */
class FleetPathTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();
  @RegisterExtension static final HarbourBrowser BROWSER = new HarbourBrowser();

  /** A reading is typed down the list of meters and noted with F8. */
  @Test
  void aReadingIsEnteredFromTheKeyboard() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/fleet/meters");
    Locator field = page.locator("input[aria-label='AT-5 hours, new reading']");
    field.focus();
    page.keyboard().type("1905.4");
    page.keyboard().press("F8");
    assertThat(page.locator("[role=status]")).containsText("1 noted.");
    assertThat(page.locator("tr:has-text('AT-5')")).containsText("1,905.4 h on 15 Mar");
  }

  /** Enter goes down the list without sending it, Tab passes the links, and leaving asks first. */
  @Test
  void aListOfReadingsIsTypedInARow() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/fleet/meters");
    Locator fields = page.locator("tbody input");
    fields.first().focus();
    page.keyboard().type("99");
    page.keyboard().press("Enter");
    assertThat(fields.nth(1)).isFocused();
    page.keyboard().press("Tab");
    assertThat(fields.nth(2)).isFocused();
    assertThat(page).hasURL(SERVER.url() + "/fleet/meters");
    List<String> asked = new ArrayList<>();
    page.onDialog(
        dialog -> {
          asked.add(dialog.type());
          dialog.accept();
        });
    page.locator("nav a[href='/fleet']").first().click();
    assertThat(page).hasURL(SERVER.url() + "/fleet");
    assertThat(asked).containsExactly("beforeunload");
  }

  /** On the fleet's page the arrows begin with the first machine, wherever one was before. */
  @Test
  void arrowsWalkTheFleet() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/fleet");
    page.keyboard().press("ArrowDown");
    assertThat(page.locator("[data-list] a").first()).isFocused();
    page.keyboard().press("ArrowDown");
    assertThat(page.locator("[data-list] a").nth(1)).isFocused();
  }

  /** The fold is opened with the keyboard, filled and sent. */
  @Test
  void aMeterIsExchanged() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/fleet/FL-5/meters");
    page.locator("summary:has-text('The meter was exchanged')").focus();
    page.keyboard().press("Enter");
    page.locator("input[name=end]").fill("5742");
    page.locator("input[name=start]").fill("0");
    page.locator("form[action$=replacements] input[name=reason]").fill("display went blank");
    page.keyboard().press("Enter");
    assertThat(page.locator("main")).containsText("a life of 5,742 h");
  }

  @Test
  void aStandbySetIsLookedAtAsIfTheMainsFailed() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/fleet/GN-1");
    page.click("a:has-text('What if')");
    page.waitForLoadState();
    page.fill("[name=first]", "2027-03-20");
    page.fill("[name=last]", "2027-03-25");
    page.fill("[name=perDay]", "24");
    page.keyboard().press("Enter");
    assertThat(page.locator("main")).containsText("would stand at");
    assertThat(page.locator("main")).containsText("Yearly service");
  }

  /** From the unit to the page that shows what a move does, then moved with F8. */
  @Test
  void anOccurrenceIsMoved() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/fleet/RT-07");
    page.locator("a:text-is('Move')").first().click();
    page.waitForLoadState();
    page.fill("#look-to", "2027-07-01");
    page.keyboard().press("Enter");
    assertThat(page.locator("table")).containsText("1 Jul");
    page.waitForLoadState();
    page.fill("#reason", "the ferry is full");
    page.keyboard().press("F8");
    assertThat(page.locator("h1")).hasText("RT-07");
    assertThat(page.locator("main")).containsText("moved by hand");
  }

  /** A bar is dragged: its month's field follows, and what is kept has mean 1. */
  @Test
  void aMonthIsDragged() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/fleet/classes/AT");
    String before = page.inputValue("#month-3");
    BoundingBox box = page.locator(".months svg").boundingBox();
    double x = box.x + box.width * 2.5 / 12;
    page.mouse().move(x, box.y + box.height - 10);
    page.mouse().down();
    page.mouse().move(x, box.y + 20);
    page.mouse().up();
    assertThat(page.inputValue("#month-3")).isNotEqualTo(before);
    page.keyboard().press("F8");
    assertThat(page.locator("form[x-data=months] [role=status]")).containsText("mean is 1.00");
    page.waitForLoadState();
    assertThat(Double.parseDouble(page.inputValue("#month-3"))).isGreaterThan(1.2);
  }

  /** The label in the drawing leads to the compartment's own lines. */
  @Test
  void theDrawingLeadsToTheCompartment() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/fleet/RT-03");
    page.locator(".section-drawing a[aria-label='Rear axle']").first().focus();
    page.keyboard().press("Enter");
    assertThat(page.url()).contains("#compartment-");
    String id = page.url().replaceAll(".*#", "");
    assertThat(page.locator("#" + id)).containsText("Rear axle");
    assertThat(page.locator("#" + id)).containsText("Cu 22×27×1.5");
  }
}
