package dev.lonja.web.pour;

import dev.lonja.core.fluid.ProductId;
import java.util.List;
import java.util.Optional;

/**
 * How coolant or screen wash is mixed.
 *
 * @param about the circuit, its book and what is in it, in lines
 * @param problem why there is no mixture; empty if there is one, or nothing is asked yet
 */
public record MixView(
    Choices choices, Chosen chosen, List<String> about, String problem, Optional<Mixed> mixed) {

  /** What may be chosen. */
  public record Choices(List<Choice> units, List<Choice> compartments, List<Choice> products) {}

  public record Choice(String value, String words) {}

  /** What is chosen, as the form shows it. */
  public record Chosen(
      String unit, String compartment, Optional<ProductId> product, String total) {}

  /**
   * A mixture.
   *
   * @param drawing SVG of the circuit
   * @param lines what is done, in order
   * @param strength of what is in it then
   * @param cautions what to mind
   */
  public record Mixed(String drawing, List<String> lines, String strength, List<String> cautions) {}
}
