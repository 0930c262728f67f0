package dev.lonja.web.fluid;

import dev.lonja.desk.fluid.Hazards;
import java.util.List;

/** Cautions as they are printed. */
public final class HazardWording {

  private HazardWording() {}

  /** "Hot oil. Burns skin. Let it cool." for each. */
  public static List<String> lines(List<Hazards.Text> texts) {
    return texts.stream().map(text -> text.title() + ". " + text.text()).toList();
  }
}
