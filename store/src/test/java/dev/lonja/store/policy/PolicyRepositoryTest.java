package dev.lonja.store.policy;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.store.ExampleStore;
import java.math.BigDecimal;
import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PolicyRepositoryTest {

  private static final Choice THIRD = Choice.of(School.EVERY_NTH, BigDecimal.valueOf(3));

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private Policies all() {
    return store.read(session -> session.policies().all());
  }

  private void write(Consumer<PolicyRepository> work) {
    store.write(
        session -> {
          work.accept(session.policies());
          return true;
        });
  }

  static List<Holder> holders() {
    return List.of(
        Holder.STORE,
        new Holder.OfClass(1),
        new Holder.OfUnit(new UnitId(1)),
        new Holder.OfCompartment(new CompartmentId(1)),
        new Holder.OfPosition(new PositionId(1)));
  }

  @ParameterizedTest
  @MethodSource("holders")
  void aChoiceComesBackAndGivesWay(Holder holder) {
    write(policies -> policies.choose(holder, THIRD));
    assertThat(all().own(holder, Question.AIR_FILTER)).contains(THIRD);
    Choice other = Choice.of(School.EVERY_SERVICE);
    write(policies -> policies.choose(holder, other));
    assertThat(all().own(holder, Question.AIR_FILTER)).contains(other);
    write(policies -> policies.withdraw(holder, Question.AIR_FILTER));
    assertThat(all().own(holder, Question.AIR_FILTER)).isEmpty();
  }

  /** Taking the store's back leaves all others where they are. */
  @Test
  void whatIsTakenBackIsTheHoldersOwn() {
    write(policies -> holders().forEach(holder -> policies.choose(holder, THIRD)));
    write(policies -> policies.withdraw(Holder.STORE, Question.AIR_FILTER));
    assertThat(all().own(Holder.STORE, Question.AIR_FILTER)).isEmpty();
    assertThat(holders().stream().skip(1))
        .allSatisfy(h -> assertThat(all().own(h, Question.AIR_FILTER)).contains(THIRD));
  }
}
