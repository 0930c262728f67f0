package dev.lonja.core.cases;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A function with one branch for every case of a sealed type. A case that has no branch, and a
 * branch that answers to no case, is refused when the function is made, which is when the class
 * that holds it is loaded: a new case cannot take the words of another in silence.
 *
 * @param <T> the sealed type
 * @param <R> what each branch answers
 */
public final class Cases<T, R> implements Function<T, R> {

  private final Map<Class<?>, Function<T, R>> branches;

  private Cases(Map<Class<?>, Function<T, R>> branches) {
    this.branches = Map.copyOf(branches);
  }

  /**
   * Begins a function over {@code type}.
   *
   * @throws IllegalArgumentException if {@code type} is not sealed
   */
  public static <T, R> Branches<T, R> over(Class<T> type) {
    if (!type.isSealed()) {
      throw new IllegalArgumentException(type.getName() + " is not sealed");
    }
    return new Branches<>(type);
  }

  @Override
  public R apply(T value) {
    return branches.get(value.getClass()).apply(value);
  }

  /** The branches that were named so far. */
  public static final class Branches<T, R> {
    private final Class<T> type;
    private final Map<Class<?>, Function<T, R>> named = new HashMap<>();

    private Branches(Class<T> type) {
      this.type = type;
    }

    /**
     * Answers every {@code part}, a case or a sealed part of the type, by {@code branch}.
     *
     * @throws IllegalStateException if a case of {@code part} has a branch already
     */
    public <P extends T> Branches<T, R> when(Class<P> part, Function<P, R> branch) {
      for (Class<?> one : leaves(part)) {
        if (named.put(one, value -> branch.apply(part.cast(value))) != null) {
          throw new IllegalStateException(one.getName() + " has two branches");
        }
      }
      return this;
    }

    /**
     * The function.
     *
     * @throws IllegalStateException that names the cases without a branch
     */
    public Cases<T, R> all() {
      Set<Class<?>> missing = new HashSet<>(leaves(type));
      missing.removeAll(named.keySet());
      if (!missing.isEmpty()) {
        throw new IllegalStateException(
            "no branch for "
                + missing.stream()
                    .map(Class::getName)
                    .collect(Collectors.toCollection(TreeSet::new)));
      }
      return new Cases<>(named);
    }
  }

  /** The classes that a value of {@code type} can have. */
  private static List<Class<?>> leaves(Class<?> type) {
    if (!type.isSealed()) {
      return List.of(type);
    }
    List<Class<?>> found = new ArrayList<>();
    for (Class<?> part : type.getPermittedSubclasses()) {
      found.addAll(leaves(part));
    }
    return found;
  }
}
