package dev.lonja.desk.replay;

import dev.lonja.core.item.Item;
import dev.lonja.core.replay.Course;
import dev.lonja.core.replay.Span;
import dev.lonja.desk.reorder.Proposals;
import java.util.List;

/**
 * What a replay came to.
 *
 * @param things in order of their numbers
 * @param leftOut of which too little happened within the span
 */
public record Replayed(Asked asked, List<Thing> things, List<Item> leftOut) {

  /** What was asked for. */
  public record Asked(Span span, Proposals.Manner manner) {}

  /**
   * One thing, or a fluid in all its packs.
   *
   * @param item that stands for it
   * @param happened how it went
   * @param ruled how it would have gone by the rules
   */
  public record Thing(Item item, Course happened, Course ruled) {}
}
