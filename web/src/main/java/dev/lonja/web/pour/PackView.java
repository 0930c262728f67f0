package dev.lonja.web.pour;

import dev.lonja.web.spec.SpecView;
import java.util.List;
import java.util.Optional;

/**
 * Which packs to buy or to open.
 *
 * @param places what the product may go into, and where it is in use without being allowed
 */
record PackView(
    List<SpecView.Choice> products,
    String product,
    String litres,
    String by,
    String name,
    List<String> places,
    Optional<Advice> buying,
    Optional<Advice> taking,
    String noBuying,
    String noTaking) {

  /**
   * An answer.
   *
   * @param packs "1 × 5.00 L (FA 15-5) + 2 × 1.00 L (FA 15-1)"
   * @param left what stays open and until when, or what stays sealed; empty if nothing is left
   * @param flag why it is wasteful; empty if it is not
   * @param runnerUp the next best with its figures; empty if there is none
   */
  record Advice(
      String packs, String left, String paid, String perLitre, String flag, String runnerUp) {}
}
