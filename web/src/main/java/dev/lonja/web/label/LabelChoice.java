package dev.lonja.web.label;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.tank.DispenserId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.label.LabelDesk;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** Finds a label by what an address or a form says it is of, such as "items/31" or "bins/A-03". */
final class LabelChoice {

  private final LabelDesk desk;
  private final LocalDate today;

  LabelChoice(LabelDesk desk, LocalDate today) {
    this.desk = desk;
    this.today = today;
  }

  /** Empty if there is no such thing. */
  Optional<LabelView> of(String text) {
    List<String> parts = List.of(text.split("/"));
    try {
      return switch (parts.size()) {
        case 2 -> thing(parts.get(0), parts.get(1));
        case 3 -> about(parts.get(0), parts.get(1), parts.get(2));
        case 4 ->
            parts.get(0).equals("items") && parts.get(2).equals("lots")
                ? desk.lot(ItemId.valueOf(parts.get(1)), LotId.valueOf(parts.get(3)))
                    .map(LabelView::of)
                : Optional.empty();
        default -> Optional.empty();
      };
    } catch (IllegalArgumentException e) {
      // no number, or none that a row may have
      return Optional.empty();
    }
  }

  private Optional<LabelView> about(String kind, String name, String what) {
    return switch (kind + "/" + what) {
      case "machines/next" -> desk.machine(name).map(machine -> LabelView.sticker(machine, today));
      case "trays/filters" -> desk.filterMark(TrayId.valueOf(name)).map(LabelView::of);
      default -> Optional.empty();
    };
  }

  private Optional<LabelView> thing(String kind, String name) {
    return switch (kind) {
      case "items" -> desk.item(ItemId.valueOf(name)).map(LabelView::of);
      case "products" ->
          desk.decanted(ProductId.valueOf(name)).map(label -> LabelView.of(label, today));
      case "bins" -> desk.bin(name).map(LabelView::of);
      case "trays" -> desk.tray(TrayId.valueOf(name)).map(LabelView::of);
      case "machines" -> desk.machine(name).map(LabelView::of);
      case "dispensers" -> desk.dispenser(DispenserId.valueOf(name)).map(LabelView::of);
      default -> Optional.empty();
    };
  }
}
