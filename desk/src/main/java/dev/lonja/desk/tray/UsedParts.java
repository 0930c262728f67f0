package dev.lonja.desk.tray;

import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayLine;
import java.util.Map;

/** Used, good parts that a person may take for a line that asks for new ones. */
final class UsedParts {

  private UsedParts() {}

  /**
   * How many would do for what a line lacks; none for a fluid, or a line that takes used ones.
   *
   * @param free what is usable and on no tray
   */
  static Quantity forLine(TrayLine line, Map<StockKey, Quantity> free) {
    Quantity none = Quantity.zero(line.wanted().measure());
    return line.wanted().measure() == Measure.PIECES && line.stock().condition() == LotCondition.NEW
        ? free.getOrDefault(new StockKey(line.itemId(), LotCondition.USED_GOOD), none)
            .min(line.missing())
        : none;
  }
}
