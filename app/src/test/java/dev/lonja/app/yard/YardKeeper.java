package dev.lonja.app.yard;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Somebody who enters a store through its screens, one form after the other. What is typed stands
 * as "field=value".
 */
final class YardKeeper {

  private final Screens screens;
  private String variant = "";

  YardKeeper(Screens screens) {
    this.screens = screens;
  }

  private static Map<String, String> typed(String... entries) {
    Map<String, String> typed = new LinkedHashMap<>();
    for (String entry : entries) {
      String[] pair = entry.split("=", 2);
      typed.put(pair[0], pair[1]);
    }
    return typed;
  }

  /** A fluid as its maker makes it. */
  void product(String... typed) {
    screens.open("/oils/products/new");
    screens.send("/oils/products/new", typed(typed));
  }

  /** Something with a label on the shelf, in a bin that is put up with it. */
  void item(String family, String... typed) {
    screens.open("/items/new?family=" + family);
    Map<String, String> all = typed(typed);
    all.put("newBins", "yes");
    screens.send("/items/new", all);
  }

  /** The first unit of a model that is not there yet, its make-up still to be said. */
  void unit(String... typed) {
    screens.open("/fleet/new?variant=new");
    screens.send("/fleet/new", typed(typed));
    variant = screens.attribute("main a[data-key=F8]", "href");
  }

  /** One row of the make-up of the model that was begun last. */
  private void row(String kind, String... typed) {
    if (!screens.path().equals(variant)) {
      screens.open(variant);
    }
    screens.send("/" + kind + "/new", typed(typed));
  }

  void compartment(String... typed) {
    row("compartment", typed);
  }

  void position(String... typed) {
    row("position", typed);
  }

  void task(String... typed) {
    row("task", typed);
  }

  private String spec(String unit, String compartment) {
    screens.open("/fleet/" + unit);
    return screens.attribute("a[aria-label='Spec of " + compartment + "']", "href");
  }

  /** What a compartment of a unit demands. */
  void spec(String unit, String compartment, String... typed) {
    String path = spec(unit, compartment);
    screens.open(path + "/edit");
    screens.send(path, typed(typed));
  }

  /** The fluid that a compartment prefers, once its spec is stated. */
  void fluid(String unit, String compartment, String item) {
    String path = spec(unit, compartment);
    screens.open(variant);
    screens.send(path.replace("/oils/specs/", "/compartment/"), typed("item=" + item));
  }

  /** Puts a school in force for the whole store, after what it would change was shown. */
  void policy(String question, String school) {
    screens.open("/setup/policies/" + question + "?school=" + school + "&of=store");
    screens.send("/setup/policies/" + question, Map.of());
  }

  /** All tasks of a unit were last done on one day, at what its meter showed. */
  void lastDone(String unit, String day, String shown) {
    screens.open("/fleet/" + unit + "/last-done");
    Map<String, String> typed = new HashMap<>(typed("note=its service book"));
    for (String field : screens.fields("/last-done", "last-")) {
      typed.put(field, field.endsWith("-day") ? day : shown);
    }
    screens.send("/last-done", typed);
  }

  /** The job card of the tray for the next service of a unit, line by line. */
  List<String> card(String unit) {
    screens.open("/fleet/" + unit);
    screens.send("/trays/start", Map.of());
    screens.open(screens.path() + "/card");
    return screens.texts(".card tr, .card p");
  }
}
