package dev.lonja.store.part;

import static dev.lonja.store.schema.Tables.BOX_CONTENT;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.PART;

import dev.lonja.core.crossref.BoxDifference;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.store.query.Bound;
import dev.lonja.store.query.FixedQuery;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** What comes in the boxes of parts, and what kits are made of. */
public final class BoxRepository {

  private static final FixedQuery CONTENTS =
      FixedQuery.of(
          DSL.select(BOX_CONTENT.fields())
              .from(BOX_CONTENT)
              .where(Bound.oneOfGiven(BOX_CONTENT.PART_ID))
              .orderBy(BOX_CONTENT.ID));

  private static final FixedQuery WITH =
      FixedQuery.of(
          DSL.select(BOX_CONTENT.PART_ID)
              .from(BOX_CONTENT)
              .where(
                  BOX_CONTENT.CONTENT_PART_ID.eq(FixedQuery.given(BOX_CONTENT.CONTENT_PART_ID))));

  private static final FixedQuery STOCKED =
      FixedQuery.of(
          DSL.select(PART.ID, ITEM.ID)
              .from(ITEM)
              .join(PART)
              .on(PART.ID.eq(ITEM.PART_ID))
              .where(PART.FAMILY.eq(FixedQuery.given(PART.FAMILY)), ITEM.RETIRED_ON.isNull()));

  private final DSLContext context;

  public BoxRepository(DSLContext context) {
    this.context = context;
  }

  /** What comes in the box of a part, in the order in which it was noted. */
  public List<BoxContent> of(PartId partId) {
    return of(List.of(partId)).getOrDefault(partId, List.of());
  }

  /** The same for several parts; those with nothing in the box are absent. */
  public Map<PartId, List<BoxContent>> of(Collection<PartId> partIds) {
    List<Record> rows = List.copyOf(CONTENTS.with(context, Bound.numbers(partIds)).fetch());
    Map<PartId, Part> contents = new HashMap<>();
    new PartRepository(context)
        .byIds(rows.stream().map(row -> row.get(BOX_CONTENT.CONTENT_PART_ID)).toList())
        .forEach(part -> contents.put(part.id(), part));
    return rows.stream()
        .collect(
            Collectors.groupingBy(
                row -> row.get(BOX_CONTENT.PART_ID),
                Collectors.mapping(
                    row ->
                        new BoxContent(
                            contents.get(row.get(BOX_CONTENT.CONTENT_PART_ID)),
                            Math.toIntExact(row.get(BOX_CONTENT.QUANTITY))),
                    Collectors.toList())));
  }

  /** What comes in the boxes of stocked items, as the stocked items that are the same thing. */
  public Boxes ofStockedItems() {
    Map<PartId, ItemId> itemOfPart =
        context
            .select(ITEM.PART_ID, ITEM.ID)
            .from(ITEM)
            .where(ITEM.PART_ID.in(DSL.select(BOX_CONTENT.PART_ID).from(BOX_CONTENT)))
            .fetchMap(ITEM.PART_ID, ITEM.ID);
    Map<PartId, List<BoxContent>> contents = of(itemOfPart.keySet());
    Sameness sameness = new Sameness();
    Map<ItemId, List<Boxes.Content>> boxes = new HashMap<>();
    contents.forEach(
        (part, inside) ->
            boxes.put(
                itemOfPart.get(part),
                inside.stream()
                    .map(
                        content ->
                            new Boxes.Content(sameness.itemsOf(content.part()), content.quantity()))
                    .toList()));
    return new Boxes(boxes);
  }

  /** Finds the stocked items that are the same thing as a part; each family is read once. */
  private final class Sameness {
    private final Map<Family, Map<Part, ItemId>> stocked = new HashMap<>();

    Set<ItemId> itemsOf(Part content) {
      return content
          .family()
          .map(family -> stocked.computeIfAbsent(family, this::read))
          .map(
              parts ->
                  parts.entrySet().stream()
                      .filter(entry -> BoxDifference.areOneThing(entry.getKey(), content))
                      .map(Map.Entry::getValue)
                      .collect(Collectors.toSet()))
          .orElse(Set.of());
    }

    private Map<Part, ItemId> read(Family family) {
      Map<PartId, ItemId> items = STOCKED.with(context, family.name()).fetchMap(PART.ID, ITEM.ID);
      Map<Part, ItemId> parts = new HashMap<>();
      new PartRepository(context)
          .byIds(items.keySet())
          .forEach(part -> parts.put(part, items.get(part.id())));
      return parts;
    }
  }

  /** The parts in whose boxes a part comes. */
  public List<PartId> boxesWith(PartId contentPartId) {
    return WITH.with(context, contentPartId).fetch(BOX_CONTENT.PART_ID);
  }

  /** Writes what comes in a box in place of what did. */
  public void set(PartId partId, List<BoxContent> contents) {
    context.deleteFrom(BOX_CONTENT).where(BOX_CONTENT.PART_ID.eq(partId)).execute();
    for (BoxContent content : contents) {
      context
          .insertInto(BOX_CONTENT)
          .set(BOX_CONTENT.PART_ID, partId)
          .set(BOX_CONTENT.CONTENT_PART_ID, content.part().id())
          .set(BOX_CONTENT.QUANTITY, (long) content.quantity())
          .execute();
    }
  }
}
