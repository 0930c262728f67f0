package dev.lonja.web.product;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.desk.fluid.Hazards;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.spec.SpecView;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A fluid with its packs and where it may go.
 *
 * @param cautions texts of its hazards
 */
public record ProductView(
    ProductId id,
    String name,
    Drum drum,
    Label label,
    List<PackRow> packs,
    String free,
    List<PlaceRow> places,
    List<Hazards.Text> cautions) {

  /**
   * What its label and data sheet say.
   *
   * @param facts from its data sheet, unknown ones said so
   * @param claims classes that its label was read to claim, with what they cover
   * @param notUnderstood what of the label claims nothing
   */
  public record Label(
      List<Fact> facts, List<String> claims, List<String> notUnderstood, List<String> approvals) {}

  public record Fact(String what, String value) {}

  /** A pack; {@code open} are the containers that are open. */
  public record PackRow(
      Plate plate, String pack, String bin, String free, String price, List<String> open) {}

  /**
   * A spec in use and the verdict for it.
   *
   * @param instead what on the shelf may go in, where this may not
   */
  public record PlaceRow(
      CompartmentId specId,
      String place,
      String units,
      State state,
      String reason,
      String instead,
      boolean preferred) {}

  /** All products. */
  public record All(List<Row> rows) {}

  public record Row(ProductId id, String name, Drum drum, String packs, String free, int places) {}

  /** What the form holds and may hold. */
  public record Form(
      Optional<ProductId> id,
      String title,
      long version,
      Map<String, String> fields,
      List<SpecView.Choice> kinds,
      List<SpecView.Choice> bases,
      List<SpecView.Choice> types,
      List<SpecView.Choice> glycols,
      List<SpecView.Choice> hazards) {}

  /** What the product as typed would mean. */
  public record Effect(
      List<String> problems,
      String claims,
      List<String> notUnderstood,
      String summary,
      List<PlaceRow> places) {

    static final Effect NOTHING = new Effect(List.of(), "", List.of(), "", List.of());
  }
}
