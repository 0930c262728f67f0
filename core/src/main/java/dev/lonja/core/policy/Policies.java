package dev.lonja.core.policy;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Every choice that was made in a store.
 *
 * @param made by holder and question; what is absent is answered by the next wider holder, and by
 *     the usual school if the store has not chosen
 */
public record Policies(Map<Holder, Map<Question, Choice>> made) {

  /** Of a store that has chosen nothing. */
  public static final Policies USUAL = new Policies(Map.of());

  public Policies {
    made = Map.copyOf(made);
    made.forEach((holder, choices) -> choices.forEach((q, choice) -> check(holder, q, choice)));
  }

  private static void check(Holder holder, Question question, Choice choice) {
    if (choice.question() != question || !question.isAskedOf(holder.level())) {
      throw new IllegalArgumentException(
          question + " of " + holder + " is " + choice + "; allowed is a school of the question");
    }
  }

  /** The choice of one holder, if it has one of its own. */
  public Optional<Choice> own(Holder holder, Question question) {
    return Optional.ofNullable(made.getOrDefault(holder, Map.of()).get(question));
  }

  /**
   * The answer where several holders stand one within the other.
   *
   * @param nearestFirst the last of them the store
   */
  public InForce inForce(Question question, List<Holder> nearestFirst) {
    return nearestFirst.stream()
        .flatMap(
            holder ->
                own(holder, question).map(choice -> new InForce(choice, holder.level())).stream())
        .findFirst()
        .orElseGet(() -> new InForce(Choice.of(question.usual()), Holder.Level.STORE));
  }

  /** True if anybody has chosen another than the usual school. */
  public boolean departsFrom(Question question) {
    return made.keySet().stream()
        .flatMap(holder -> own(holder, question).stream())
        .anyMatch(choice -> choice.school() != question.usual());
  }

  /** These with another choice of one holder. */
  public Policies with(Holder holder, Choice choice) {
    Map<Holder, Map<Question, Choice>> other = new HashMap<>(made);
    Map<Question, Choice> its = new EnumMap<>(Question.class);
    its.putAll(made.getOrDefault(holder, Map.of()));
    its.put(choice.question(), choice);
    other.put(holder, its);
    return new Policies(other);
  }

  /** These without the choice of one holder, if it has one. */
  public Policies without(Holder holder, Question question) {
    Map<Holder, Map<Question, Choice>> other = new HashMap<>(made);
    Map<Question, Choice> its = new HashMap<>(made.getOrDefault(holder, Map.of()));
    its.remove(question);
    other.put(holder, its);
    return new Policies(other);
  }
}
