package dev.lonja.desk.item;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.store.Session;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Items as people name them: by number, or by make and number where several makes use it. */
public final class ItemNaming {

  private ItemNaming() {}

  /** Whether a name leads to one item. */
  public sealed interface Answer {}

  /** It does. */
  public record Found(Item item) implements Answer {}

  /** No item that is counted so has this number. */
  public record Unknown(String name, Measure measure) implements Answer, Refusal {}

  /** Several makes use the number. */
  public record Several(String name, int makes) implements Answer, Refusal {}

  /** Goes on with the item that is meant by a name; refused if none or several may be. */
  public static Outcome naming(
      Session session, String name, Measure measure, Function<Item, Outcome> work) {
    return Cases.<Answer, Outcome>over(Answer.class)
        .when(Found.class, found -> work.apply(found.item()))
        .when(Unknown.class, Outcome::refused)
        .when(Several.class, Outcome::refused)
        .all()
        .apply(named(session, name, measure));
  }

  /** The item that is meant by a name, among those counted in a measure. */
  public static Answer named(Session session, String name, Measure measure) {
    Optional<PartKey> key = PartKey.of(name);
    List<Item> byNumber =
        key.map(session.items()::byKey).orElse(List.of()).stream()
            .filter(candidate -> candidate.measure() == measure)
            .toList();
    if (byNumber.size() == 1) {
      return new Found(byNumber.get(0));
    }
    return session.items().all().stream()
        .filter(candidate -> candidate.measure() == measure)
        .filter(candidate -> PartKey.of(candidate.make() + candidate.number()).equals(key))
        .findFirst()
        .<Answer>map(Found::new)
        .orElseGet(
            () ->
                byNumber.isEmpty()
                    ? new Unknown(name.strip(), measure)
                    : new Several(name.strip(), byNumber.size()));
  }
}
