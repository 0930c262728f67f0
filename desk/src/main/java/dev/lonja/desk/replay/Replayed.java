package dev.lonja.desk.replay;

import dev.lonja.core.item.Criticality;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.replay.Course;
import dev.lonja.core.replay.Span;
import dev.lonja.core.replay.Trying;
import dev.lonja.desk.reorder.Proposals;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a replay came to.
 *
 * @param things in order of their numbers
 * @param leftOut of which too little happened within the span
 */
public record Replayed(
    Asked asked, List<Thing> things, Freights freights, List<Item> leftOut, List<Other> others) {

  /** For how many days orders may be tried to last. */
  public static final List<Integer> COVERS = List.of(28, 56, 84, 112);

  /**
   * What bringing all orders of the span costs, by what each supplier asks today.
   *
   * @param happened of the orders that were really sent
   * @param ruled of those that the rules would have placed
   */
  public record Freights(Money happened, Money ruled) {}

  /** What was asked for. */
  public record Asked(Span span, Proposals.Manner manner, boolean withOthers) {

    /** The manner that is asked for, and those that it is held against. */
    public List<Proposals.Manner> manners() {
      if (!withOthers) {
        return List.of(manner);
      }
      Set<Proposals.Manner> all = new LinkedHashSet<>(List.of(manner));
      COVERS.forEach(days -> all.add(new Proposals.Manner(manner.criticality(), days)));
      for (Criticality one : Criticality.values()) {
        all.add(new Proposals.Manner(Optional.of(one), manner.coverDays()));
      }
      return List.copyOf(all);
    }
  }

  /**
   * How it would have gone in another manner.
   *
   * @param courses by the item that stands for a thing
   */
  public record Other(Proposals.Manner manner, Map<ItemId, Course> courses) {}

  /** The manner that is asked for among others, with what each came to. */
  public List<Other> all() {
    Map<ItemId, Course> own = new HashMap<>();
    things.forEach(thing -> own.put(thing.item().id(), thing.ruled()));
    return Stream.concat(Stream.of(new Other(asked.manner(), own)), others.stream()).toList();
  }

  /** For how many days orders had better last; empty if nothing else was tried or did better. */
  public Optional<Integer> betterCover() {
    if (things.isEmpty()) {
      return Optional.empty();
    }
    Map<Integer, Trying.Score> scores = new LinkedHashMap<>();
    all().stream()
        .filter(other -> other.manner().criticality().equals(asked.manner().criticality()))
        .forEach(
            other ->
                scores.put(
                    other.manner().coverDays(),
                    Trying.Score.of(List.copyOf(other.courses().values()))));
    return Trying.better(asked.manner().coverDays(), scores);
  }

  /** A thing that had better count as another criticality, with how it would have gone then. */
  public record Better(Thing thing, Criticality criticality, Course course) {}

  /** The things whose own criticality did not do best; none if nothing else was tried. */
  public List<Better> betterCriticalities() {
    Map<Criticality, Other> byCriticality = new EnumMap<>(Criticality.class);
    all().stream()
        .filter(other -> other.manner().coverDays() == asked.manner().coverDays())
        .forEach(
            other -> other.manner().criticality().ifPresent(one -> byCriticality.put(one, other)));
    List<Better> better = new ArrayList<>();
    if (others.isEmpty()) {
      return better;
    }
    for (Thing thing : things) {
      Map<Criticality, Trying.Score> scores = new EnumMap<>(Criticality.class);
      byCriticality.forEach(
          (one, other) ->
              scores.put(one, Trying.Score.of(List.of(other.courses().get(thing.item().id())))));
      Trying.better(thing.item().keeping().criticality(), scores)
          .ifPresent(
              one ->
                  better.add(
                      new Better(
                          thing, one, byCriticality.get(one).courses().get(thing.item().id()))));
    }
    return better;
  }

  /**
   * One thing, or a fluid in all its packs.
   *
   * @param item that stands for it
   * @param happened how it went
   * @param ruled how it would have gone by the rules
   */
  public record Thing(Item item, Course happened, Course ruled) {}
}
