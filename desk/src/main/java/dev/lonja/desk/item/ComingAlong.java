package dev.lonja.desk.item;

import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.setting.Fittings;
import dev.lonja.store.Session;
import java.util.Locale;
import java.util.stream.Stream;

/** What a draft names and is not there yet, put up or taken on where the draft says so. */
final class ComingAlong {

  private final Session session;
  private final Fittings fittings;

  ComingAlong(Session session, Fittings fittings) {
    this.session = session;
    this.fittings = fittings;
  }

  /** Before the draft is read; what is too long to be one is left to be refused. */
  void bring(ItemDraft draft) {
    if (draft.news().bins()) {
      Stream.concat(
              Stream.of(draft.homeBin()), draft.rows().bins().stream().map(ItemDraft.Bin::address))
          .map(address -> address.strip().toUpperCase(Locale.ROOT))
          .filter(address -> !address.isEmpty() && address.length() <= Lengths.ADDRESS)
          .distinct()
          .filter(address -> session.items().binByAddress(address).isEmpty())
          .forEach(fittings::putUp);
    }
    draft.news().leadDays().ifPresent(days -> bringSuppliers(draft, days));
  }

  private void bringSuppliers(ItemDraft draft, int days) {
    draft.rows().offers().stream()
        .map(ItemDraft.Offer::supplier)
        .map(String::strip)
        .filter(name -> name.length() <= Lengths.NAME)
        .distinct()
        .filter(
            name ->
                session.suppliers().all().stream()
                    .map(Supplier::name)
                    .noneMatch(name::equalsIgnoreCase))
        .forEach(name -> fittings.takeOn(name, days));
  }
}
