package dev.lonja.app.yard;

import dev.lonja.app.server.Visitor;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;

/** The pages as they are sent, without a browser. */
public final class PlainScreens implements Screens {

  private final Visitor visitor;
  private Visitor.Page page;

  public PlainScreens(Visitor visitor) {
    this.visitor = visitor;
    this.page = visitor.get("/");
  }

  @Override
  public void open(String path) {
    page = visitor.get(path);
  }

  @Override
  public String path() {
    return page.path();
  }

  @Override
  public void send(String actionEnd, Map<String, String> typed) {
    FormElement form = form(actionEnd);
    Map<String, String> values = new HashMap<>();
    typed.forEach((name, value) -> values.put(name, value(form, name, value)));
    page = visitor.submit(form, values);
    List<String> wrong = new ArrayList<>(texts(".field-error"));
    wrong.addAll(texts(".notice.bad"));
    if (!wrong.isEmpty()) {
      throw new AssertionError(typed + " was refused: " + wrong);
    }
  }

  private FormElement form(String actionEnd) {
    return (FormElement)
        page.document().select("main form[method=post]").stream()
            .filter(form -> form.attr("action").endsWith(actionEnd))
            .findFirst()
            .orElseThrow(() -> new AssertionError("no form to …" + actionEnd + " on " + path()));
  }

  /** What a field sends: of a list the value behind what it offers. */
  private static String value(FormElement form, String name, String typed) {
    Element field = form.selectFirst("[name='" + name + "']");
    if (field == null) {
      throw new AssertionError("there is no field " + name);
    }
    return field.select("option").stream()
        .filter(option -> option.text().equals(typed))
        .map(Element::val)
        .findFirst()
        .orElse(typed);
  }

  @Override
  public List<String> fields(String actionEnd, String beginning) {
    return form(actionEnd).select("input[name^=" + beginning + "]").eachAttr("name");
  }

  @Override
  public String attribute(String css, String name) {
    Element found = page.document().selectFirst(css);
    if (found == null) {
      throw new AssertionError("nothing matches " + css + " on " + path());
    }
    return found.attr(name);
  }

  @Override
  public List<String> texts(String css) {
    // what a drawing is called stands beside it in words, and a browser shows it once
    page.document().select("[aria-hidden] svg").remove();
    return page.document().select(css).eachText();
  }
}
