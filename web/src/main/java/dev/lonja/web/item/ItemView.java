package dev.lonja.web.item;

import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.ledger.MovementRow;
import java.util.List;
import java.util.Optional;

/** Everything the item page shows, in words. */
record ItemView(
    Plate plate,
    Optional<Drum> drum,
    String description,
    String family,
    String measure,
    String homeBin,
    long version,
    String onHand,
    String free,
    String held,
    String value,
    String average,
    List<String> usedOn,
    List<LotRow> lots,
    List<MovementRow> movements) {

  /** What lies of a lot in a bin. */
  record LotRow(
      long lotId,
      long binId,
      String bin,
      String lot,
      String received,
      String expires,
      String quantity,
      Optional<State> state) {}
}
