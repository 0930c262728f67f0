package dev.lonja.web.spec;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.web.fluid.VerdictView;
import java.util.List;
import java.util.Map;

/**
 * What a compartment demands, and what meets it.
 *
 * @param window in which the verdicts hold, in words
 * @param seasonal what may be used in part of the year and when to change over
 */
public record SpecView(
    CompartmentId id,
    long variantId,
    String compartment,
    String machine,
    String kind,
    List<String> grades,
    List<String> demands,
    List<String> units,
    String preferred,
    String drawing,
    String summary,
    List<VerdictView> products,
    String window,
    List<String> seasonal,
    long version) {

  /** What the form holds and may hold. */
  record Form(
      CompartmentId id,
      String title,
      long version,
      Map<String, String> fields,
      List<Choice> kinds,
      List<Choice> families,
      List<Choice> bases,
      List<Integer> gradeRows,
      Effect effect) {}

  public record Choice(String value, String words) {}

  /**
   * What the spec as typed would mean.
   *
   * @param products with their verdicts
   */
  record Effect(String summary, List<String> problems, List<VerdictView> products) {}
}
