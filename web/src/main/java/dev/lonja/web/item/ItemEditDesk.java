package dev.lonja.web.item;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.item.Supplier;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.web.request.Typed;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Adds, edits, retires and deletes items. */
@Service
@Allowed.ToKeepStore
public class ItemEditDesk {

  /** The field on which an edit that met another is refused. */
  static final String VERSION = "version";

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public ItemEditDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** The form of an item on file; empty for an unknown one. */
  Optional<ItemFormView> form(ItemId itemId, Map<String, String> typed) {
    return store.read(
        session ->
            session
                .items()
                .byId(itemId)
                .map(
                    item -> {
                      Map<String, String> stored = ItemFields.of(session, item);
                      Map<String, String> fields = typed.isEmpty() ? stored : typed;
                      return view(session, Optional.of(item), fields);
                    }));
  }

  /**
   * The form of a new item.
   *
   * @param like an item that it is like
   * @param part a part that is to be stocked
   */
  ItemFormView newForm(Optional<ItemId> like, Optional<PartId> part, Map<String, String> typed) {
    return store.read(
        session -> {
          Map<String, String> fields = new LinkedHashMap<>();
          like.flatMap(session.items()::byId)
              .ifPresent(item -> fields.putAll(withoutOwn(ItemFields.of(session, item))));
          part.flatMap(session.parts()::byId)
              .ifPresent(p -> fields.putAll(ItemFields.withBox(session, p, ItemFields.of(p))));
          fields.putAll(typed);
          return view(session, Optional.empty(), fields);
        });
  }

  /** What a copy does not share with the item that it is like. */
  private static Map<String, String> withoutOwn(Map<String, String> fields) {
    fields.remove("number");
    fields.remove("barcodes");
    fields.keySet().removeIf(name -> name.startsWith("orderNumber-"));
    return fields;
  }

  private ItemFormView view(Session session, Optional<Item> item, Map<String, String> fields) {
    Optional<Family> family =
        Arrays.stream(Family.values())
            .filter(f -> f.name().equals(fields.get("family")))
            .findFirst();
    return new ItemFormView(
        item.map(Item::id),
        item.map(i -> i.make() + " " + i.number()).orElse("New item"),
        item.map(Item::version).orElse(0L),
        fields,
        Arrays.stream(Family.values())
            .map(f -> new ItemFormView.Choice(f.name(), f.words()))
            .toList(),
        family.map(Family::properties).orElse(List.of()).stream()
            .map(p -> new ItemFormView.PropertyField(p.name(), p.words(), p.allowed(), p.choices()))
            .toList(),
        family.filter(f -> f == Family.FLUID).isPresent(),
        family.filter(Family::isFilter).isPresent(),
        session.products().all().stream()
            .map(p -> new ItemFormView.Choice(String.valueOf(p.id()), p.make() + " " + p.name()))
            .toList(),
        session.keeping().suppliers().stream().map(Supplier::name).toList(),
        ItemFields.rows(fields, "bin"),
        ItemFields.rows(fields, "supplier"),
        ItemFields.rows(fields, "content"),
        item.flatMap(i -> i.keeping().retiredOn()).map(day -> "since " + day).orElse(""),
        item.filter(i -> !session.items().hasMovements(i.id())).isPresent());
  }

  /** Adds an item; its part is taken over if the store knows it already. */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, Map<String, String> fields) {
    return once.run(sent, session -> add(session, sent, fields));
  }

  private Outcome add(Session session, Sent sent, Map<String, String> fields) {
    Typed typed = new Typed();
    Optional<ItemEntry.Read> read = new ItemEntry(session, fields, typed).read(Optional.empty());
    if (read.isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    ItemEntry.Read item = read.get();
    Optional<Part> known = session.parts().byNumber(item.make(), item.number());
    boolean stocked =
        known.filter(p -> !session.items().byParts(List.of(p.id())).isEmpty()).isPresent();
    if (stocked) {
      return Outcome.refused(
          new Problem(
              "number", item.make() + " " + item.number() + " is stocked already. Edit that one."));
    }
    PartId partId =
        known
            .map(Part::id)
            .orElseGet(
                () -> session.parts().add(item.make(), item.number(), Optional.of(item.family())));
    Optional<Outcome> refused = describe(session, partId, item);
    if (refused.isPresent()) {
      return refused.get();
    }
    ItemId id = session.items().add(partId, item.facts());
    keep(session, id, item);
    audit(session, sent, id, "added", "", item.make() + " " + item.number());
    return new Outcome.Done("/items/" + id);
  }

  /**
   * Writes an edit. If someone else changed the item since the form was shown it is refused with a
   * problem on the field {@link #VERSION}.
   */
  @Allowed.ToKeepStore
  public Outcome edit(Sent sent, ItemId itemId, long version, Map<String, String> fields) {
    return once.run(sent, session -> edit(session, sent, itemId, version, fields));
  }

  private Outcome edit(
      Session session, Sent sent, ItemId itemId, long version, Map<String, String> fields) {
    Item before = session.items().byId(itemId).orElseThrow();
    Map<String, String> stored = ItemFields.of(session, before);
    Typed typed = new Typed();
    Optional<ItemEntry.Read> read = new ItemEntry(session, fields, typed).read(Optional.of(before));
    if (read.isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    ItemEntry.Read item = read.get();
    Optional<Part> other =
        session
            .parts()
            .byNumber(item.make(), item.number())
            .filter(part -> !part.id().equals(before.partId()));
    if (other.isPresent()) {
      return Outcome.refused(
          new Problem(
              "number",
              "The store knows another part "
                  + item.make()
                  + " "
                  + item.number()
                  + "; say that they are the same instead."));
    }
    if (!session.items().update(itemId, version, item.facts())) {
      return Outcome.refused(
          new Problem(VERSION, "Someone else changed this item while you were editing it."));
    }
    session.parts().rename(before.partId(), item.make(), item.number());
    Optional<Outcome> refused = describe(session, before.partId(), item);
    if (refused.isPresent()) {
      return refused.get();
    }
    keep(session, itemId, item);
    Map<String, String> now = ItemFields.of(session, session.items().byId(itemId).orElseThrow());
    audit(session, sent, itemId, "edited", changes(stored, now), changes(now, stored));
    return new Outcome.Done("/items/" + itemId);
  }

  private static Optional<Outcome> describe(Session session, PartId partId, ItemEntry.Read item) {
    if (item.box().stream().anyMatch(content -> content.part().id().equals(partId))) {
      return Optional.of(
          Outcome.refused(
              new Problem("content-0", item.number() + " cannot come in its own box.")));
    }
    session.parts().record(partId, Optional.of(item.family()), item.properties());
    session.boxes().set(partId, item.box());
    return Optional.empty();
  }

  private static void keep(Session session, ItemId itemId, ItemEntry.Read item) {
    session.keeping().setBarcodes(itemId, item.barcodes());
    session.keeping().setBins(itemId, item.bins());
    session.keeping().setSupplies(itemId, item.supplies());
  }

  /** The fields of one that are not so in the other: "height 93, bin A-03". */
  private static String changes(Map<String, String> these, Map<String, String> those) {
    return new TreeSet<>(these.keySet())
        .stream()
            .filter(name -> !Objects.equals(these.get(name), those.getOrDefault(name, "")))
            .map(name -> name + " " + these.get(name))
            .collect(Collectors.joining(", "));
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
            return Outcome.refused(
                Problem.ofWhole("Someone else changed this item meanwhile. Look at it again."));
          }
          audit(session, sent, itemId, again ? "kept again" : "retired", "", "");
          return new Outcome.Done("/items/" + itemId);
        });
  }

  /** Deletes an item of which nothing was ever booked and that nothing refers to. */
  @Allowed.ToKeepStore
  public Outcome delete(Sent sent, ItemId itemId) {
    return once.run(
        sent,
        session -> {
          Optional<Item> item = session.items().byId(itemId);
          if (item.isEmpty()) {
            return new Outcome.Done("/find");
          }
          List<String> uses = session.items().uses(itemId);
          if (!uses.isEmpty()) {
            return Outcome.refused(
                Problem.ofWhole(
                    item.get().number()
                        + " cannot be deleted: it has "
                        + String.join(", ", uses)
                        + ". Retire it instead."));
          }
          session.items().delete(itemId);
          audit(
              session, sent, itemId, "deleted", item.get().make() + " " + item.get().number(), "");
          return new Outcome.Done("/parts/" + item.get().partId());
        });
  }

  private void audit(
      Session session, Sent sent, ItemId itemId, String action, String before, String after) {
    session
        .audit()
        .add(
            "item",
            itemId.value(),
            new AuditLog.Line(action, before, after, sent.actor(), clock.now()));
  }
}
