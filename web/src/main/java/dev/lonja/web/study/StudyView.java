package dev.lonja.web.study;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.web.spec.SpecView;
import java.util.List;

/**
 * A study of the least set of products.
 *
 * @param applied the change-overs that were set from it and are still to come
 */
public record StudyView(
    long id, Asked asked, Costs costs, Assignment assignment, ChangeOver changeOver, int applied) {

  /** What was asked, by whom and when. */
  public record Asked(
      String title,
      String made,
      String allowed,
      String holding,
      List<String> forbidden,
      List<String> kept) {}

  /** A year's cost of what is used today and of what is proposed. */
  public record Costs(String today, String proposed, String saving, boolean saves) {}

  /**
   * What serves what.
   *
   * @param lines specs in use: what serves them, what would
   * @param forced "AT-1 alone forces Maretta Duna"
   * @param uncovered specs that nothing allowed covers, left out of both costs
   */
  public record Assignment(
      List<ProductRow> products,
      List<LineRow> lines,
      List<String> forced,
      List<String> uncovered) {}

  /**
   * When it would change.
   *
   * @param changes in order of their days
   * @param rests old stock that no plan uses up
   */
  public record ChangeOver(List<ChangeRow> changes, List<String> rests) {}

  /** A product today, in the proposal, or both. */
  public record ProductRow(ProductId id, String name, boolean today, boolean proposed) {}

  public record LineRow(
      String place, String litres, String today, String proposed, boolean changes) {}

  public record ChangeRow(String place, String from, String to, String item, String on) {}

  /** The studies that were kept, and the form of a new one. */
  public record All(List<Row> rows, List<SpecView.Choice> products, List<SpecView.Choice> levels) {}

  public record Row(
      long id, String title, String made, int products, String today, String cost, String saving) {}
}
