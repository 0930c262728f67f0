package dev.lonja.web.setup;

import dev.lonja.core.crossref.RubberTable;
import dev.lonja.core.crossref.RubberTable.Guidance;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.Property;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.desk.setting.ReferenceDesk;
import dev.lonja.web.buy.SupplierWording;
import java.util.List;
import java.util.Locale;

/** Rubbers in fluids, suppliers and bins. */
public record ReferenceView(
    List<String> fluids, List<RubberRow> rubbers, List<SupplierRow> suppliers, List<String> bins) {

  /** Nothing is said of a pair. */
  static final String NOT_KNOWN = "not known";

  /** A rubber with what is said of it in each fluid. */
  public record RubberRow(String rubber, List<Cell> cells) {}

  /** What is said of a pair; {@code changed} if the store says otherwise than what ships. */
  public record Cell(String fluid, String guidance, boolean changed) {}

  public record SupplierRow(SupplierId id, String name, String terms) {}

  static ReferenceView of(ReferenceDesk.Reference reference) {
    return new ReferenceView(
        RubberTable.FLUIDS,
        Property.RUBBER.choices().stream().map(rubber -> row(reference, rubber)).toList(),
        reference.suppliers().stream()
            .map(s -> new SupplierRow(s.id(), s.name(), SupplierWording.terms(s)))
            .toList(),
        reference.bins().stream().map(Item.Bin::address).toList());
  }

  private static RubberRow row(ReferenceDesk.Reference reference, String rubber) {
    return new RubberRow(
        rubber,
        RubberTable.FLUIDS.stream()
            .map(
                fluid ->
                    new Cell(
                        fluid,
                        reference
                            .rubbers()
                            .of(rubber, fluid)
                            .map(ReferenceView::word)
                            .orElse(NOT_KNOWN),
                        !reference
                            .rubbers()
                            .of(rubber, fluid)
                            .equals(reference.shipped().of(rubber, fluid))))
            .toList());
  }

  static String word(Guidance guidance) {
    return guidance.name().toLowerCase(Locale.ROOT);
  }
}
