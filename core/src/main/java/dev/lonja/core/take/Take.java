package dev.lonja.core.take;

import dev.lonja.core.mixture.WantedShare;
import java.util.List;

/** What an occurrence takes, and what could not be said for want of data. */
public record Take(List<TakeLine> lines, List<Gap> gaps) {

  /** Data that a take would need and does not find. */
  public sealed interface Gap {
    /** No capacity on file for the condition in which the compartment is filled. */
    record NoCapacity(String compartment) implements Gap {}

    /** Nobody has said how many strokes a grease point takes. */
    record NoStrokes(String position) implements Gap {}

    /** No item is chosen for the compartment or position. */
    record NoItem(String place) implements Gap {}

    /** The filter's own volume is unknown, so the fill counts without it. */
    record FilterVolumeUnknown(String position) implements Gap {}

    /** A policy asks for a flush, and nobody has said with what. */
    record NoFlush(String compartment) implements Gap {}

    /** Nobody has said whether what goes in is a concentrate or ready mixed. */
    record StrengthUnknown(String compartment) implements Gap {}

    /** What goes in is weaker than the compartment wants it, and goes in as it comes. */
    record TooWeak(String compartment, WantedShare wanted) implements Gap {}

    /** No mixture is known to reach the protection that the compartment wants. */
    record NotReached(String compartment) implements Gap {}

    /** The filter stays, and only what goes in together with a new one is on file. */
    record FilterStays(String compartment) implements Gap {}
  }

  /** For what takes nothing. */
  public static final Take NOTHING = new Take(List.of(), List.of());

  public Take {
    lines = List.copyOf(lines);
    gaps = List.copyOf(gaps);
  }
}
