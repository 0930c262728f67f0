package dev.lonja.desk.wanted;

import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.wanted.Finding;
import dev.lonja.desk.request.Refusal;
import java.time.LocalDate;
import java.util.List;

/** Why nothing was noted of a finding or a wanted part. */
public sealed interface WantedRefusal extends Refusal {

  /** No such unit is in service. */
  record UnknownUnit(String code) implements WantedRefusal {}

  /** It was found before the unit was in service, or later than today. */
  record OutsideService(LocalDate day, LocalDate first, LocalDate last) implements WantedRefusal {}

  /** No item has this number. */
  record UnknownNumber(String code) implements WantedRefusal {}

  /** Several makes have this number, so somebody has to say which it is. */
  record SeveralMakes(String code, List<Item> items) implements WantedRefusal {}

  /** The quantity is not above zero, or of what is counted no whole number. */
  record BadQuantity(Quantity quantity) implements WantedRefusal {}

  /** It is needed on a day that is past, or too far ahead. */
  record NeededOutside(LocalDate day, LocalDate first, LocalDate last) implements WantedRefusal {}

  /** The finding is not on file, or what became of it does not allow that. */
  record NotNow(Finding.State wanted) implements WantedRefusal {}

  /** The part is on a tray by now, or was dropped. */
  record NotOpen() implements WantedRefusal {}
}
