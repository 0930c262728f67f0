package dev.lonja.desk.item;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Part;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Prices;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.crossref.PartNaming;
import dev.lonja.store.Session;
import dev.lonja.store.item.ItemRepository;
import java.util.ArrayList;
import java.util.Currency;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;

/** Looks up what a draft names, and gathers everything that is wrong with it. */
final class DraftReader {

  private final Session session;
  private final ItemDraft draft;
  private final Optional<Item> edited;
  private final List<ItemRefusal> refusals = new ArrayList<>();

  /**
   * @param edited the item that is edited; empty for a new one
   */
  DraftReader(Session session, ItemDraft draft, Optional<Item> edited) {
    this.session = session;
    this.draft = draft;
    this.edited = edited;
  }

  /** A draft with all that it names. */
  record Read(
      ItemRepository.Facts facts,
      List<String> barcodes,
      List<ItemBin> bins,
      List<Supply> supplies,
      List<BoxContent> box) {}

  List<ItemRefusal> refusals() {
    return refusals;
  }

  /** Empty if anything is wrong with it. */
  Optional<Read> read() {
    edited
        .map(Item::measure)
        .filter(counted -> counted != draft.measure())
        .ifPresent(counted -> refusals.add(new ItemRefusal.OtherMeasure(counted)));
    Optional<Item.Bin> home = session.items().binByAddress(draft.homeBin());
    if (home.isEmpty()) {
      refusals.add(new ItemRefusal.UnknownHome(draft.homeBin()));
    }
    draft
        .product()
        .filter(id -> session.products().byId(id).isEmpty())
        .ifPresent(id -> refusals.add(new ItemRefusal.UnknownProduct(id)));
    List<String> barcodes = barcodes();
    List<ItemBin> bins = bins();
    List<Supply> supplies = supplies();
    List<BoxContent> box = box();
    if (!refusals.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(new Read(facts(home.orElseThrow()), barcodes, bins, supplies, box));
  }

  private ItemRepository.Facts facts(Item.Bin home) {
    return new ItemRepository.Facts(
        draft.description(),
        draft.measure(),
        draft.product(),
        draft.pack(),
        draft.filterVolume(),
        home.id(),
        new Item.Keeping(
            draft.keeping().shelfLifeDays(),
            draft.keeping().openLifeDays(),
            draft.keeping().runningOut(),
            edited.flatMap(item -> item.keeping().retiredOn()),
            draft.keeping().criticality()));
  }

  private List<String> barcodes() {
    List<String> codes = List.copyOf(new LinkedHashSet<>(draft.rows().barcodes()));
    for (String code : codes) {
      session
          .keeping()
          .itemWithBarcode(code)
          .filter(holder -> edited.filter(item -> item.id().equals(holder)).isEmpty())
          .flatMap(session.items()::byId)
          .ifPresent(holder -> refusals.add(new ItemRefusal.BarcodeTaken(code, holder)));
    }
    return codes;
  }

  private List<ItemBin> bins() {
    List<ItemBin> bins = new ArrayList<>();
    for (ItemDraft.Bin asked : draft.rows().bins()) {
      Optional<Item.Bin> bin = session.items().binByAddress(asked.address());
      if (bin.isEmpty()) {
        refusals.add(new ItemRefusal.UnknownBin(asked.row(), asked.address()));
      } else if (asked.least().compareTo(asked.most()) > 0) {
        refusals.add(new ItemRefusal.LeastAboveMost(asked.row(), asked));
      } else if (bins.stream().anyMatch(other -> other.binId().equals(bin.get().id()))) {
        refusals.add(new ItemRefusal.BinTwice(asked.row(), bin.get().address()));
      } else {
        session
            .tanks()
            .at(bin.get().id())
            .filter(tank -> asked.most().measure() == Measure.LITRES)
            .filter(tank -> asked.most().compareTo(Quantity.of(tank.safeFill())) > 0)
            .map(tank -> new ItemRefusal.AboveSafeFill(asked.row(), tank, asked))
            .ifPresent(refusals::add);
        bins.add(new ItemBin(bin.get().id(), bin.get().address(), asked.least(), asked.most()));
      }
    }
    return bins;
  }

  private List<Supply> supplies() {
    List<Supply> supplies = new ArrayList<>();
    List<Supplier> known = session.suppliers().all();
    for (ItemDraft.Offer offer : draft.rows().offers()) {
      Optional<Supplier> supplier =
          known.stream().filter(s -> s.name().equalsIgnoreCase(offer.supplier())).findFirst();
      if (supplier.isEmpty()) {
        refusals.add(new ItemRefusal.UnknownSupplier(offer.row(), offer.supplier()));
      } else if (supplies.stream().anyMatch(s -> s.supplier().equals(supplier.get()))) {
        refusals.add(new ItemRefusal.SupplierTwice(offer.row(), offer.supplier()));
      } else {
        supplies.add(
            new Supply(
                supplier.get(), offer.orderNumber(), prices(offer), offer.pack(), offer.least()));
      }
    }
    return supplies;
  }

  private Prices prices(ItemDraft.Offer offer) {
    Currency currency = session.settings().currency();
    return new Prices(
        UnitPrice.of(offer.price(), currency),
        offer.breaks().stream()
            .map(b -> new Prices.Break(b.from(), UnitPrice.of(b.price(), currency)))
            .toList());
  }

  private List<BoxContent> box() {
    List<BoxContent> box = new ArrayList<>();
    for (ItemDraft.Content content : draft.rows().box()) {
      Optional<PartNaming.Refusal> unclear = PartNaming.refusal(session, content.part());
      if (unclear.isPresent()) {
        refusals.add(new ItemRefusal.UnknownContent(content.row(), unclear.get()));
        continue;
      }
      Part part = PartNaming.meant(session, content.part()).get(0);
      if (box.stream().anyMatch(c -> c.part().id().equals(part.id()))) {
        refusals.add(new ItemRefusal.ContentTwice(content.row(), content.part()));
      } else if (isItself(part)) {
        refusals.add(new ItemRefusal.InOwnBox(content.row(), part.number()));
      } else {
        box.add(new BoxContent(part, content.quantity()));
      }
    }
    return box;
  }

  private boolean isItself(Part part) {
    return edited.filter(item -> item.partId().equals(part.id())).isPresent()
        || (part.make().equals(draft.identity().make())
            && part.number().equals(draft.identity().number()));
  }
}
