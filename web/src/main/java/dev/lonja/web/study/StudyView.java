package dev.lonja.web.study;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.web.spec.SpecView;
import java.util.List;

/**
 * A study of the least set of products.
 *
 * @param lines specs in use: what serves them, what would
 * @param forced "AT-1 alone forces Maretta Duna"
 * @param uncovered specs that nothing allowed covers, left out of both costs
 * @param changes the change-over plan, in order of its days
 * @param rests old stock that no plan uses up
 * @param applied the change-overs that were set from it and are still to come
 */
record StudyView(
    long id,
    String title,
    String made,
    String allowed,
    String holding,
    List<String> forbidden,
    List<String> kept,
    List<ProductRow> products,
    String today,
    String cost,
    String saving,
    boolean saves,
    List<LineRow> lines,
    List<String> forced,
    List<String> uncovered,
    List<ChangeRow> changes,
    List<String> rests,
    int applied) {

  /** A product today, in the proposal, or both. */
  record ProductRow(ProductId id, String name, boolean today, boolean proposed) {}

  record LineRow(String place, String litres, String today, String proposed, boolean changes) {}

  record ChangeRow(String place, String from, String to, String item, String on) {}

  /** The studies that were kept, and the form of a new one. */
  record All(List<Row> rows, List<SpecView.Choice> products, List<SpecView.Choice> levels) {}

  record Row(
      long id, String title, String made, int products, String today, String cost, String saving) {}
}
