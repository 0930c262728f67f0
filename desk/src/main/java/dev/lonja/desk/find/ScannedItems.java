package dev.lonja.desk.find;

import dev.lonja.core.item.Item;
import dev.lonja.core.part.PartKey;
import dev.lonja.store.Session;
import java.util.List;

/** What a scanned or typed code may mean. */
public final class ScannedItems {

  private ScannedItems() {}

  /**
   * The item of a barcode, else every item of that number; none if it is unknown. Two makes may
   * print one number on different parts.
   */
  public static List<Item> of(Session session, String code) {
    return session
        .items()
        .byBarcode(code.strip())
        .map(List::of)
        .orElseGet(() -> PartKey.of(code).map(session.items()::byKey).orElse(List.of()));
  }
}
