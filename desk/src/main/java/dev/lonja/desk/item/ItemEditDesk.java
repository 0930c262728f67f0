package dev.lonja.desk.item;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.setting.Fittings;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.item.ItemRepository;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Adds, edits, retires and deletes items. */
@Service
@Allowed.ToKeepStore
public class ItemEditDesk {

  private static final int MOST_ALIKE = 5;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public ItemEditDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** The currency in which prices are said. */
  public Currency currency() {
    return store.read(session -> session.settings().currency());
  }

  /**
   * An item as it stands in a form.
   *
   * @param fields as {@link ItemSheet} has them
   */
  public record OnFile(Item item, Map<String, String> fields, boolean mayDelete) {}

  /** What there is to choose from. */
  public record Choices(List<Product> products, List<Supplier> suppliers) {}

  /** Empty for an unknown item. */
  public Optional<OnFile> onFile(ItemId itemId) {
    return store.read(
        session ->
            session
                .items()
                .byId(itemId)
                .map(
                    item ->
                        new OnFile(
                            item,
                            ItemSheet.of(session, item),
                            !session.items().hasMovements(itemId))));
  }

  /**
   * The fields that a new item begins with.
   *
   * @param like an item that it is like
   * @param part a part that is to be stocked
   */
  public Map<String, String> begun(Optional<ItemId> like, Optional<PartId> part) {
    return store.read(
        session -> {
          Map<String, String> fields = new LinkedHashMap<>();
          like.flatMap(session.items()::byId)
              .ifPresent(item -> fields.putAll(ItemSheet.ofLike(session, item)));
          part.flatMap(session.parts()::byId)
              .ifPresent(p -> fields.putAll(ItemSheet.of(session, p)));
          return fields;
        });
  }

  public Choices choices() {
    return store.read(session -> new Choices(session.products().all(), session.suppliers().all()));
  }

  /** Adds an item; its part is taken over if the store knows it already. */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, ItemDraft draft) {
    return once.run(sent, session -> add(session, sent, draft));
  }

  private Outcome add(Session session, Sent sent, ItemDraft draft) {
    ItemDraft.Identity identity = draft.identity();
    new ComingAlong(session, new Fittings(session, clock, sent)).bring(draft);
    DraftReader reader = new DraftReader(session, draft, Optional.empty());
    Optional<DraftReader.Read> read = reader.read();
    Optional<Part> known = session.parts().byNumber(identity.make(), identity.number());
    if (known.filter(p -> !session.items().byParts(List.of(p.id())).isEmpty()).isPresent()) {
      reader.refusals().add(new ItemRefusal.StockedAlready(identity.make(), identity.number()));
    } else if (!identity.apart()) {
      List<Item> alike = alike(session, identity.number());
      if (!alike.isEmpty()) {
        reader.refusals().add(new ItemRefusal.ReadsAlike(alike));
      }
    }
    if (!reader.refusals().isEmpty()) {
      return new Outcome.Refused(reader.refusals());
    }
    PartId partId =
        known
            .map(Part::id)
            .orElseGet(
                () ->
                    session
                        .parts()
                        .add(identity.make(), identity.number(), Optional.of(identity.family())));
    describe(session, partId, draft, read.orElseThrow());
    ItemId id = session.items().add(partId, read.get().facts());
    keep(session, id, read.get());
    audit(
        session,
        sent,
        id,
        Deed.ADDED,
        Facts.NONE,
        Facts.of("make", identity.make()).with("number", identity.number()));
    return Outcome.done(id);
  }

  /** Items whose numbers have the same key, or read like it on an oily label. */
  private static List<Item> alike(Session session, String number) {
    return PartKey.of(number).stream()
        .flatMap(
            key ->
                Stream.concat(
                    session.parts().byKey(key, MOST_ALIKE).stream(),
                    session.parts().byNearKey(key, MOST_ALIKE).stream()))
        .flatMap(part -> session.items().byParts(List.of(part.id())).values().stream())
        .toList();
  }

  /** Writes an edit, unless someone else changed the item since the form was shown. */
  @Allowed.ToKeepStore
  public Outcome edit(Sent sent, ItemId itemId, long version, ItemDraft draft) {
    return once.run(sent, session -> edit(session, sent, itemId, version, draft));
  }

  private Outcome edit(Session session, Sent sent, ItemId itemId, long version, ItemDraft draft) {
    ItemDraft.Identity identity = draft.identity();
    Item before = session.items().byId(itemId).orElseThrow();
    Facts stored = new Facts(ItemSheet.of(session, before));
    new ComingAlong(session, new Fittings(session, clock, sent)).bring(draft);
    DraftReader reader = new DraftReader(session, draft, Optional.of(before));
    Optional<DraftReader.Read> read = reader.read();
    session
        .parts()
        .byNumber(identity.make(), identity.number())
        .filter(part -> !part.id().equals(before.partId()))
        .ifPresent(
            other ->
                reader
                    .refusals()
                    .add(new ItemRefusal.NumberTaken(identity.make(), identity.number())));
    if (!reader.refusals().isEmpty()) {
      return new Outcome.Refused(reader.refusals());
    }
    if (!session.items().update(itemId, version, read.orElseThrow().facts())) {
      return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
    }
    session.parts().rename(before.partId(), identity.make(), identity.number());
    describe(session, before.partId(), draft, read.get());
    keep(session, itemId, read.get());
    Facts now = new Facts(ItemSheet.of(session, session.items().byId(itemId).orElseThrow()));
    audit(session, sent, itemId, Deed.EDITED, stored.unlike(now), now.unlike(stored));
    return Outcome.done(itemId);
  }

  private static void describe(
      Session session, PartId partId, ItemDraft draft, DraftReader.Read read) {
    session
        .parts()
        .record(partId, Optional.of(draft.identity().family()), draft.identity().properties());
    session.boxes().set(partId, read.box());
  }

  private static void keep(Session session, ItemId itemId, DraftReader.Read read) {
    session.keeping().setBarcodes(itemId, read.barcodes());
    session.keeping().setBins(itemId, read.bins());
    session.supplies().set(itemId, read.supplies());
  }

  /** Keeps the item no more, or again. What lies there can still be used up. */
  @Allowed.ToKeepStore
  public Outcome retire(Sent sent, ItemId itemId, long version, boolean again) {
    return once.run(
        sent,
        session -> {
          boolean written =
              session
                  .items()
                  .retire(itemId, version, again ? Optional.empty() : Optional.of(clock.today()));
          if (!written) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          audit(
              session,
              sent,
              itemId,
              again ? Deed.KEPT_AGAIN : Deed.RETIRED,
              Facts.NONE,
              Facts.NONE);
          return Outcome.done(itemId);
        });
  }

  /**
   * Deletes an item of which nothing was ever booked and that nothing refers to; answers its part.
   */
  @Allowed.ToKeepStore
  public Outcome delete(Sent sent, ItemId itemId) {
    return once.run(sent, session -> delete(session, sent, itemId));
  }

  private Outcome delete(Session session, Sent sent, ItemId itemId) {
    Optional<Item> item = session.items().byId(itemId);
    if (item.isEmpty()) {
      return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
    }
    Set<ItemRepository.Use> uses = session.items().uses(itemId);
    if (!uses.isEmpty()) {
      return Outcome.refused(new ItemRefusal.InUse(item.get(), uses));
    }
    session.items().delete(itemId);
    audit(
        session,
        sent,
        itemId,
        Deed.DELETED,
        Facts.of("make", item.get().make()).with("number", item.get().number()),
        Facts.NONE);
    return Outcome.done(item.get().partId());
  }

  private void audit(Session session, Sent sent, ItemId id, Deed deed, Facts before, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.ITEM, id, deed, before, after));
  }
}
