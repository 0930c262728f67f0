package dev.lonja.web.request;

import dev.lonja.desk.person.WorkPlaces;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.RequestRefusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Says in words why a desk refused, each reason at the field that it is about. */
public final class RefusalWording {

  /** What may be wrong with any request. */
  public static final RefusalWording OF_REQUESTS =
      of(RequestRefusal.class, RefusalWording::ofRequest)
          .and(of(WorkPlaces.NotYours.class, RefusalWording::notYours));

  private final List<Kind<?>> kinds;

  /** One kind of reasons with its words. */
  private record Kind<R extends Refusal>(Class<R> type, Function<R, Problem> words) {
    Optional<Problem> problem(Refusal reason) {
      return type.isInstance(reason)
          ? Optional.of(words.apply(type.cast(reason)))
          : Optional.empty();
    }
  }

  private RefusalWording(List<Kind<?>> kinds) {
    this.kinds = List.copyOf(kinds);
  }

  /** The reasons of one desk. */
  public static <R extends Refusal> RefusalWording of(Class<R> type, Function<R, Problem> words) {
    return new RefusalWording(List.of(new Kind<>(type, words)));
  }

  /** This, and what else the desk may refuse with. */
  public RefusalWording and(RefusalWording more) {
    List<Kind<?>> all = new ArrayList<>(kinds);
    all.addAll(more.kinds);
    return new RefusalWording(all);
  }

  public List<Problem> problems(List<? extends Refusal> reasons) {
    return reasons.stream().map(this::problem).toList();
  }

  /**
   * The words for one reason.
   *
   * @throws IllegalArgumentException if there are none
   */
  public Problem problem(Refusal reason) {
    return kinds.stream()
        .flatMap(kind -> kind.problem(reason).stream())
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("reason is " + reason + ", without words"));
  }

  private static Problem notYours(WorkPlaces.NotYours not) {
    return Problem.ofWhole(not.actor() + " does not work at " + not.place() + ".");
  }

  private static Problem ofRequest(RequestRefusal reason) {
    return Problem.ofWhole(
        switch (reason) {
          case KEY_LOST -> "The form has lost its key. Load the page again.";
          case NOT_YOURS ->
              "This form was shown to somebody else, who alone may send it. Nothing was changed.";
          case OTHER_CONTENT ->
              "This form was already sent with other content. Nothing was changed; "
                  + "load the page again.";
          case TOO_LATE ->
              "It was done longer ago than "
                  + OnceOnly.LATEST.toDays()
                  + " days, or later than now, by the clock of the device. "
                  + "Nothing was changed; look at it again.";
          case CHANGED_MEANWHILE ->
              "Someone else changed this meanwhile. Nothing was changed; look at it again.";
        });
  }
}
