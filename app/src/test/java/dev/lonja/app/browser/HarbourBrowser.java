package dev.lonja.app.browser;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import dev.lonja.app.demo.DemoStore;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * Headless Chromium from the distribution's packages. What a page complains about fails the test.
 */
public final class HarbourBrowser
    implements BeforeAllCallback, AfterAllCallback, AfterEachCallback {

  /** Draws pages without a window in two thirds of the time that the whole browser takes. */
  private static final Path CHROMIUM = Path.of("/usr/bin/chromium-headless-shell");

  private static final List<String> ARGUMENTS =
      List.of(
          "--no-sandbox",
          "--disable-gpu",
          "--disable-background-networking",
          "--disable-quic",
          // a camera is granted without asking; without a film it shows nothing that could be read
          "--use-fake-ui-for-media-stream",
          "--use-fake-device-for-media-stream");

  private final List<String> more;
  private final List<String> complaints = new ArrayList<>();
  private final List<BrowserContext> contexts = new ArrayList<>();

  /** By server and name, what the browser kept once they had signed in there. */
  private final Map<String, String> sessions = new HashMap<>();

  private Playwright playwright;
  private Browser browser;

  public HarbourBrowser() {
    this(List.of());
  }

  private HarbourBrowser(List<String> more) {
    this.more = more;
  }

  /** One whose camera plays this film, in YUV4MPEG2, over and over. */
  public static HarbourBrowser filming(Path film) {
    return new HarbourBrowser(List.of("--use-file-for-fake-video-capture=" + film));
  }

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
                    .setArgs(Stream.concat(ARGUMENTS.stream(), more.stream()).toList()));
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
    return signedInAs(
        name,
        url,
        new Browser.NewContextOptions()
            .setViewportSize(width, height)
            .setServiceWorkers(ServiceWorkerPolicy.BLOCK));
  }

  /** On a phone in the aisle, which keeps what it needs without a network. */
  public Page inAisle(String name, String url) {
    Page page =
        signedInAs(
            name,
            url,
            new Browser.NewContextOptions()
                .setViewportSize(390, 844)
                .setHasTouch(true)
                .setIsMobile(true)
                .setServiceWorkers(ServiceWorkerPolicy.ALLOW));
    page.waitForFunction("() => navigator.serviceWorker.controller !== null");
    return page;
  }

  /** A page of this size of somebody who has not signed in. */
  public Page stranger(int width, int height) {
    return stranger(
        new Browser.NewContextOptions()
            .setViewportSize(width, height)
            .setServiceWorkers(ServiceWorkerPolicy.BLOCK));
  }

  private Page stranger(Browser.NewContextOptions options) {
    BrowserContext context = browser.newContext(options);
    contexts.add(context);
    Page page = context.newPage();
    page.onConsoleMessage(
        message -> {
          // that there is no network is what some tests are about
          if (message.type().equals("error")
              && !message.text().contains("ERR_INTERNET_DISCONNECTED")) {
            complaints.add(message.text());
          }
        });
    page.onPageError(complaints::add);
    return page;
  }

  /** With the session of whoever signed in as them before, unless they have signed out since. */
  private Page signedInAs(String name, String url, Browser.NewContextOptions options) {
    String key = url + " " + name;
    if (sessions.containsKey(key)) {
      options.setStorageState(sessions.get(key));
    }
    Page page = stranger(options);
    page.navigate(url + "/");
    if (page.url().contains("sign-in")) {
      signIn(page, name);
      sessions.put(key, page.context().storageState());
    }
    return page;
  }

  private static void signIn(Page page, String name) {
    page.fill("#name", name);
    page.fill("#password", DemoStore.PASSWORD);
    page.keyboard().press("Enter");
    page.waitForURL(address -> !address.contains("sign-in"));
  }

  /** At the counter. */
  public Page atCounter(String url) {
    return signedInAs("storekeeper", url, 1280, 800);
  }

  /** Taps something and waits for the page that follows. */
  public static void tapAndWait(Page page, Locator what) {
    page.evaluate("window.before = true");
    what.click();
    page.waitForFunction("() => !window.before && document.readyState === 'complete'");
  }

  /** Presses a key and waits for the page that follows, which knows nothing of the old one. */
  public static void pressAndWait(Page page, String key) {
    page.evaluate("window.before = true");
    page.keyboard().press(key);
    page.waitForFunction("() => !window.before && document.readyState === 'complete'");
  }
}
