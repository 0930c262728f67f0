package dev.lonja.core.tray;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.mixture.Mix;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.TakeLine;
import java.util.Optional;
import java.util.Set;

/** Why a line is on a tray, kept as a value and put into words on the way out. */
public sealed interface LineReason {

  /**
   * A fill, and how it is poured.
   *
   * @param condition in which the compartment is filled, whichever capacity is on file
   * @param mix what of it is water, for a fluid that is mixed
   */
  record Fill(FillCondition condition, FirstPour firstPour, Optional<Mix> mix)
      implements LineReason {}

  /** What a compartment is flushed with before it is drained. */
  record Flush() implements LineReason {}

  /**
   * A part that is replaced every time.
   *
   * @param note what to watch for at its position, as a person wrote it; empty if nothing
   */
  record Part(String note) implements LineReason {}

  /** A seal that is new when its compartment is drained. */
  record NewSeal(String note) implements LineReason {}

  /** A part that is replaced if inspection says so. */
  record OnInspection(String note) implements LineReason {}

  /** A plug that is new together with its seal. */
  record NewPlug(String note) implements LineReason {}

  /** A part that may break in the work and comes back if it did not. */
  record Insurance(String note) implements LineReason {}

  /**
   * A kit that stands for so many lines.
   *
   * @param tasks those that ask for what it covers
   */
  record Kit(int lines, Set<TaskId> tasks) implements LineReason {
    public Kit {
      tasks = Set.copyOf(tasks);
    }
  }

  /** Something that came in the box of this item, and is not in the box of its substitute. */
  record NotInBox(ItemId original) implements LineReason {}

  /** A part that is wanted by itself. */
  record Wanted() implements LineReason {}

  /**
   * Put on by a person, beside what the service asks for.
   *
   * @param note what it is for, where that had to be said; empty if it had not
   */
  record ByHand(String note) implements LineReason {}

  /** Why a service takes a line. */
  static LineReason of(TakeLine.Reason reason) {
    return Cases.<TakeLine.Reason, LineReason>over(TakeLine.Reason.class)
        .when(
            TakeLine.Reason.Fill.class,
            fill -> new Fill(fill.filledIn(), fill.firstPour(), fill.mix()))
        .when(TakeLine.Reason.Flush.class, flush -> new Flush())
        .when(TakeLine.Reason.Part.class, part -> new Part(part.note()))
        .when(TakeLine.Reason.Greasing.class, grease -> new Part(grease.note()))
        .when(TakeLine.Reason.NewSeal.class, seal -> new NewSeal(seal.note()))
        .when(TakeLine.Reason.OnInspection.class, look -> new OnInspection(look.note()))
        .when(TakeLine.Reason.NewPlug.class, plug -> new NewPlug(plug.note()))
        .when(TakeLine.Reason.Insurance.class, in -> new Insurance(in.note()))
        .when(TakeLine.Reason.Kit.class, kit -> new Kit(kit.lines(), kit.tasks()))
        .all()
        .apply(reason);
  }
}
