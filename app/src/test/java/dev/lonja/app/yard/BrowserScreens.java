package dev.lonja.app.yard;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import dev.lonja.app.browser.HarbourBrowser;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The pages in a browser. */
public final class BrowserScreens implements Screens {

  /** As a person fills a form, at one go: the page hears of each field, and none may be missing. */
  private static final String FILL =
      """
      (form, entries) => {
        for (const [name, value] of entries) {
          const fields = [...form.querySelectorAll(`[name="${name}"]`)];
          const field = fields.find(f => !["checkbox", "radio"].includes(f.type) || f.value === value);
          if (!field) {
            throw new Error(`there is no field ${name}`);
          }
          if (field.type === "select-one") {
            const option = [...field.options].find(o => o.value === value || o.label === value);
            if (!option) {
              throw new Error(`${name} does not offer ${value}`);
            }
            field.value = option.value;
          } else if (field.type === "checkbox" || field.type === "radio") {
            field.checked = true;
          } else {
            field.value = value;
          }
          field.dispatchEvent(new Event("input", { bubbles: true }));
          field.dispatchEvent(new Event("change", { bubbles: true }));
        }
      }
      """;

  private final Page page;
  private final String url;

  /**
   * @param page of somebody who has signed in
   */
  public BrowserScreens(Page page, String url) {
    this.page = page;
    this.url = url;
  }

  @Override
  public void open(String path) {
    page.navigate(url + path);
  }

  @Override
  public String path() {
    return page.url().substring(url.length());
  }

  @Override
  public void send(String actionEnd, Map<String, String> typed) {
    Locator form = form(actionEnd);
    Locator folded =
        page.locator("details:not([open]):has(form[action$='" + actionEnd + "']) > summary");
    if (folded.count() > 0) {
      folded.first().click();
    }
    form.evaluate(
        FILL, typed.entrySet().stream().map(e -> List.of(e.getKey(), e.getValue())).toList());
    HarbourBrowser.tapAndWait(page, form.locator("button[type=submit]:not([formmethod])").last());
    List<String> wrong = new ArrayList<>(texts(".field-error"));
    wrong.addAll(texts(".notice.bad"));
    if (!wrong.isEmpty()) {
      throw new AssertionError(typed + " was refused: " + wrong);
    }
  }

  private Locator form(String actionEnd) {
    return page.locator("main form[method=post][action$='" + actionEnd + "']").first();
  }

  @Override
  public List<String> fields(String actionEnd, String beginning) {
    return form(actionEnd).locator("input[name^=" + beginning + "]").all().stream()
        .map(field -> field.getAttribute("name"))
        .toList();
  }

  @Override
  public String attribute(String css, String name) {
    return page.locator(css).first().getAttribute(name);
  }

  @Override
  public List<String> texts(String css) {
    return page.locator(css).allInnerTexts().stream()
        .map(text -> text.replaceAll("\\s+", " ").strip())
        .toList();
  }
}
