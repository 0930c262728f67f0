package dev.lonja.app.browser;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import dev.lonja.app.demo.DemoStore;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * Headless Chromium from the distribution's packages. What a page complains about fails the test.
 */
public final class HarbourBrowser
    implements BeforeAllCallback, AfterAllCallback, AfterEachCallback {

  private static final Path CHROMIUM = Path.of("/usr/bin/chromium");

  private final List<String> complaints = new ArrayList<>();
  private final List<BrowserContext> contexts = new ArrayList<>();
  private Playwright playwright;
  private Browser browser;

  @Override
  public void beforeAll(ExtensionContext context) {
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    browser =
        playwright
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(CHROMIUM)
                    .setArgs(
                        List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-background-networking",
                            "--disable-quic")));
  }

  @Override
  public void afterEach(ExtensionContext context) {
    contexts.forEach(BrowserContext::close);
    contexts.clear();
    List<String> heard = List.copyOf(complaints);
    complaints.clear();
    if (!heard.isEmpty()) {
      throw new AssertionError("the browser complained: " + heard);
    }
  }

  @Override
  public void afterAll(ExtensionContext context) {
    browser.close();
    playwright.close();
  }

  /** A page of this size, signed in, at Today. */
  public Page signedInAs(String name, String url, int width, int height) {
    BrowserContext context =
        browser.newContext(new Browser.NewContextOptions().setViewportSize(width, height));
    contexts.add(context);
    Page page = context.newPage();
    page.onConsoleMessage(
        message -> {
          if (message.type().equals("error")) {
            complaints.add(message.text());
          }
        });
    page.onPageError(complaints::add);
    page.navigate(url + "/sign-in");
    page.fill("#name", name);
    page.fill("#password", DemoStore.PASSWORD);
    page.keyboard().press("Enter");
    page.waitForURL(address -> !address.contains("sign-in"));
    return page;
  }

  /** At the counter. */
  public Page atCounter(String url) {
    return signedInAs("storekeeper", url, 1280, 800);
  }

  /** Presses a key and waits for the page that follows, which knows nothing of the old one. */
  static void pressAndWait(Page page, String key) {
    page.evaluate("window.before = true");
    page.keyboard().press(key);
    page.waitForFunction("() => !window.before && document.readyState === 'complete'");
  }
}
