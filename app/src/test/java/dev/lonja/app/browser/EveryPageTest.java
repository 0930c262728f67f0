package dev.lonja.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import dev.lonja.app.server.LonjaServer;
import dev.lonja.core.item.ItemId;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What holds for every page: accessibility, no sideways scrolling, targets for oily gloves. */
class EveryPageTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();
  @RegisterExtension static final LonjaServer NOT_SET_UP = LonjaServer.empty();
  @RegisterExtension static final HarbourBrowser BROWSER = new HarbourBrowser();

  private static final List<String> PAGES =
      List.of(
          "/",
          "/fleet",
          "/fleet/RT-04",
          "/fleet/BH-2",
          "/fleet/RT-04/work",
          "/fleet/work",
          "/fleet/due",
          "/fleet/GN-1/burst",
          "/fleet/costs",
          "/fleet/RT-04/costs",
          "/fleet/new",
          "/fleet/new?variant=new",
          "/fleet/RT-04/last-done",
          "/fleet/meters",
          "/fleet/FL-6/meters",
          "/fleet/classes",
          "/fleet/classes/RT",
          "/fleet/variants",
          "/fleet/variants/1",
          "/fleet/import",
          "/setup",
          "/bench",
          "/find",
          "/find?q=cu1",
          "/find?q=zzz",
          "/items/1",
          "/items/18",
          "/items/31/edit",
          "/items/new",
          "/items/139/kit?service=1/Small+service",
          "/parts/31",
          "/parts/31/map",
          "/fleet/RT-01/fits/1",
          "/find?q=44107",
          "/find?q=RT-01+seal",
          "/find/compare?asked=31&offered=44",
          "/find/measure?what=washer&washer-id=14.3",
          "/find/conflicts",
          "/find/lists",
          "/setup/reference",
          "/oils",
          "/oils?kind=gear_oil&spec=3&product=5",
          "/oils/products",
          "/oils/products/13",
          "/oils/products/13/edit",
          "/oils/products/13/sheets",
          "/oils/specs/1",
          "/oils/specs/1/edit",
          "/oils/year",
          "/oils/top-up?unit=RT-01&compartment=1",
          "/oils/packs?product=1&litres=9.6",
          "/oils/studies",
          "/setup/standards",
          "/setup/standards/class_covers",
          "/trays/18/lines/62/fluid",
          "/trays/11/lines/24/instead",
          "/trays",
          "/trays/1",
          "/trays/4",
          "/trays/8",
          "/trays/8/card",
          "/trays/10",
          "/trays/new",
          "/wanted",
          "/wanted?of=FL-4",
          "/ahead",
          "/buy",
          "/buy/slow",
          "/buy/replay",
          "/ahead/what-if?a=one+more+like+VN-1",
          "/ahead/use",
          "/ahead/32/trial?week=2027-05-03",
          "/buy/orders",
          "/buy/orders/7",
          "/buy/orders/7/answer",
          "/buy/orders/6/invoices",
          "/stores",
          "/stores/bins/A-03",
          "/stores/tanks/2",
          "/stores/tanks/new",
          "/stores/health",
          "/stores/dispensers",
          "/stores/arrange",
          "/stores/places",
          "/stores/transfers",
          "/stores/transfers/2",
          "/stores/transfers/3",
          "/stores/counts",
          "/stores/stocktake",
          "/stores/waste",
          "/stores/waste/1",
          "/stores/waste/years/2026",
          "/buy/door",
          "/buy/door?code=NT+20+640",
          "/setup/suppliers/1",
          "/ahead/1?week=2027-03-15",
          "/book/accuracy",
          "/book");

  /** They measure every piece of a page, and take longer than all the others together. */
  private static final List<String> MEASURED =
      List.of("color-contrast", "target-size", "link-in-text-block");

  /** What is looked at in the aisle, where a phone rearranges it. */
  private static final List<String> AISLE =
      List.of(
          "/",
          "/find?q=cu1",
          "/items/18",
          "/parts/31",
          "/find/measure?what=washer&washer-id=14.3",
          "/trays/4",
          "/trays/8",
          "/wanted",
          "/trays/11/lines/24/instead",
          "/trays/18/lines/62/fluid",
          "/oils/top-up?unit=RT-01&compartment=1",
          "/fleet/RT-04",
          "/fleet/meters");

  /**
   * A page is loaded once and then made narrower, since the style sheet follows the width. Every
   * fourth one is loaded, every twelfth checked, which takes a second, and all of them in the long
   * run: pages share their parts. What is measured is left to every fourth page of the aisle and
   * the long run, and the width between to every eighth page.
   */
  @Test
  void pagesPassTheAccessibilityCheckAndNoneScrollsSideways() {
    look(every(4), every(12), every(8));
  }

  @Test
  @Tag("long")
  void everyPagePassesTheAccessibilityCheck() {
    look(every(1), every(1), every(1));
  }

  private static Predicate<String> every(int nth) {
    return page -> PAGES.indexOf(page) % nth == 0;
  }

  private static void look(
      Predicate<String> atAll, Predicate<String> checked, Predicate<String> between) {
    Page page = BROWSER.signedInAs("storekeeper", SERVER.url(), 1280, 800);
    for (String path : PAGES.stream().filter(atAll).toList()) {
      page.setViewportSize(1280, 800);
      page.navigate(SERVER.url() + path);
      Stream.of(path)
          .filter(checked)
          .forEach(p -> assertThat(violations(check(page).disableRules(MEASURED))).as(p).isEmpty());
      for (int width : between.test(path) ? new int[] {1280, 820, 390} : new int[] {1280, 390}) {
        page.setViewportSize(width, 800);
        Object wide = page.evaluate("document.documentElement.scrollWidth");
        assertThat((Integer) wide).as(path + " at " + width).isLessThanOrEqualTo(width);
      }
    }
  }

  /** That nothing is found says something only if something could be. */
  @Test
  void theCheckSeesWhatIsWrong() {
    Page page = BROWSER.stranger(1280, 800);
    page.setContent("<html lang='en'><title>t</title><main><h1>t</h1><input></main></html>");
    assertThat(violations(page)).singleElement().asString().startsWith("label ");
  }

  /** What only an administrator sees, and what everybody sees of themselves. */
  @Test
  void thePagesOfTheAdministratorPassItToo() {
    Page page = BROWSER.signedInAs("administrator", SERVER.url(), 1280, 800);
    for (String path :
        List.of(
            "/setup/people",
            "/setup/people/1",
            "/setup/backups",
            "/setup/audit",
            "/setup/store",
            "/me")) {
      page.setViewportSize(1280, 800);
      page.navigate(SERVER.url() + path);
      assertThat(violations(check(page).disableRules(MEASURED))).as(path).isEmpty();
      page.setViewportSize(390, 800);
      Object wide = page.evaluate("document.documentElement.scrollWidth");
      assertThat((Integer) wide).as(path + " at 390").isLessThanOrEqualTo(390);
    }
  }

  @Test
  @Tag("long")
  void everyPageIsMeasured() {
    Page page = BROWSER.signedInAs("storekeeper", SERVER.url(), 1280, 800);
    for (String path : PAGES) {
      page.navigate(SERVER.url() + path);
      assertThat(violations(check(page).withRules(MEASURED))).as(path).isEmpty();
    }
  }

  @Test
  void pagesOfTheAislePassItOnAPhoneToo() {
    lookInTheAisle(AISLE.stream().filter(path -> AISLE.indexOf(path) % 2 == 0).toList());
  }

  @Test
  @Tag("long")
  void everyPageOfTheAislePassesItOnAPhoneToo() {
    lookInTheAisle(AISLE);
  }

  private static void lookInTheAisle(List<String> paths) {
    Page page = BROWSER.signedInAs("storekeeper", SERVER.url(), 390, 800);
    for (String path : paths) {
      page.navigate(SERVER.url() + path);
      AxeBuilder all = check(page);
      AxeBuilder some = AISLE.indexOf(path) % 4 == 0 ? all : all.disableRules(MEASURED);
      assertThat(violations(some)).as(path + " at 390").isEmpty();
    }
  }

  /** Sign-in, set-up, and an edit that met another. */
  @Test
  void thePagesBesideTheWayPassTheAccessibilityCheck() {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + "/items/3/edit");
    SERVER.store().<Boolean>write(s -> s.items().retire(new ItemId(3), 0, Optional.empty()));
    page.fill("#description", "Brisa, as I have it");
    page.keyboard().press("F8");
    page.waitForSelector("text=As you typed it");
    assertThat(violations(page)).isEmpty();
    page.locator("button[aria-label='Sign out']").click();
    page.waitForSelector("text=You have signed out");
    assertThat(violations(page)).isEmpty();
    page.navigate(NOT_SET_UP.url() + "/first-start");
    assertThat(violations(page)).isEmpty();
  }

  /** In the aisle the open tray is a bar that opens when it is asked for. */
  @Test
  void theOpenTrayIsABarOnANarrowScreen() {
    Page page = BROWSER.signedInAs("storekeeper", SERVER.url(), 390, 844);
    page.navigate(SERVER.url() + "/trays/10");
    page.navigate(SERVER.url() + "/items/1");
    assertThat(page.locator(".tray-column").boundingBox().height).isLessThan(60);
    page.locator(".tray-column summary").click();
    assertThat(page.locator(".tray-column").boundingBox().height).isGreaterThan(120);
  }

  /** 44 px at least for whatever is pressed on the counter's screens. */
  @ParameterizedTest
  @ValueSource(
      strings = {"/", "/trays/4", "/trays/8", "/trays/10", "/wanted", "/items/18", "/find?q=cu1"})
  void targetsAreLargeEnough(String path) {
    Page page = BROWSER.atCounter(SERVER.url());
    page.navigate(SERVER.url() + path);
    Object small =
        page.evaluate(
            "[...document.querySelectorAll('main button, main input:not([type=hidden]), main select, "
                + "main .button, main .tray-block, main summary, .rail a')]"
                + ".filter(e => e.checkVisibility() && !e.matches('.sr-only')"
                // who presses a tick's words presses the tick
                + " && (e.closest('label') ?? e).getBoundingClientRect().height < 44)"
                + ".map(e => e.outerHTML.slice(0, 90))");
    assertThat((List<?>) small).isEmpty();
  }

  /**
   * Within the page itself: none of ours has frames, and a page of its own for each check is slow.
   * What is in order is not listed in full.
   */
  private static AxeBuilder check(Page page) {
    AxeRunOptions options = new AxeRunOptions();
    options.setResultTypes(List.of("violations"));
    return new AxeBuilder(page).options(options).setLegacyMode(true);
  }

  private static List<String> violations(Page page) {
    return violations(check(page));
  }

  private static List<String> violations(AxeBuilder check) {
    return check.analyze().getViolations().stream()
        .map(rule -> rule.getId() + " " + nodes(rule))
        .toList();
  }

  private static List<String> nodes(Rule rule) {
    return rule.getNodes().stream().map(node -> node.getHtml()).limit(3).toList();
  }
}
