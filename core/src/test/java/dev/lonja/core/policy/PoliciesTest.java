package dev.lonja.core.policy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.service.Services;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The nearest that has an answer of its own is asked; what nobody answered is done as usual. */
class PoliciesTest {

  private static final Unit UNIT =
      new Unit(
          new UnitId(5),
          "U-5",
          "a unit",
          new Unit.UnitClass(3, "B", "Boats"),
          new Variant(1, "Brannoch", "D25", ""),
          LocalDate.parse("2024-01-01"),
          Optional.empty(),
          0);
  private static final Position SEAL =
      Services.place(20, Position.Kind.DRAIN_SEAL, Optional.of(Services.SUMP));

  private static final Choice NEW_SEAL = Choice.of(School.NEW_SEAL);
  private static final Choice NEW_PLUG = Choice.of(School.NEW_PLUG_AND_SEAL);
  private static final Choice REUSE = Choice.of(School.REUSE_SOUND_SEAL);

  private static InForce atTheSeal(Policies policies) {
    return UnitPolicies.of(policies, UNIT).at(Question.DRAIN_SEAL, SEAL);
  }

  @Test
  void whatNobodyAnsweredIsDoneAsUsual() {
    assertThat(atTheSeal(Policies.USUAL)).isEqualTo(new InForce(NEW_SEAL, Holder.Level.STORE));
  }

  @Test
  void theNearestIsAsked() {
    Policies policies = Policies.USUAL.with(Holder.STORE, REUSE);
    assertThat(atTheSeal(policies)).isEqualTo(new InForce(REUSE, Holder.Level.STORE));
    policies = policies.with(new Holder.OfClass(3), NEW_PLUG);
    assertThat(atTheSeal(policies)).isEqualTo(new InForce(NEW_PLUG, Holder.Level.UNIT_CLASS));
    policies = policies.with(new Holder.OfUnit(UNIT.id()), NEW_SEAL);
    assertThat(atTheSeal(policies)).isEqualTo(new InForce(NEW_SEAL, Holder.Level.UNIT));
    policies = policies.with(new Holder.OfCompartment(Services.SUMP), REUSE);
    assertThat(atTheSeal(policies)).isEqualTo(new InForce(REUSE, Holder.Level.COMPARTMENT));
    policies = policies.with(new Holder.OfPosition(SEAL.id()), NEW_PLUG);
    assertThat(atTheSeal(policies)).isEqualTo(new InForce(NEW_PLUG, Holder.Level.POSITION));
  }

  @Test
  void whatIsTakenBackLetsTheWiderAnswerAgain() {
    Policies policies =
        Policies.USUAL
            .with(Holder.STORE, REUSE)
            .with(new Holder.OfUnit(UNIT.id()), NEW_PLUG)
            .without(new Holder.OfUnit(UNIT.id()), Question.DRAIN_SEAL);
    assertThat(atTheSeal(policies)).isEqualTo(new InForce(REUSE, Holder.Level.STORE));
  }

  @Test
  void whatHoldsElsewhereDoesNotHoldHere() {
    Policies policies =
        Policies.USUAL
            .with(new Holder.OfClass(4), REUSE)
            .with(new Holder.OfUnit(new UnitId(6)), REUSE)
            .with(new Holder.OfCompartment(new CompartmentId(99)), REUSE)
            .with(new Holder.OfPosition(new PositionId(21)), REUSE);
    assertThat(atTheSeal(policies)).isEqualTo(new InForce(NEW_SEAL, Holder.Level.STORE));
  }

  /** An interval is a matter of the whole machine; a compartment has none of its own. */
  @Test
  void aQuestionIsOnlyAnsweredByWhomItIsAsked() {
    assertThatThrownBy(
            () ->
                Policies.USUAL.with(
                    new Holder.OfCompartment(Services.SUMP), Choice.of(School.BY_SEVERITY)))
        .hasMessageContaining("SERVICE_INTERVAL");
    assertThatThrownBy(
            () -> new Policies(Map.of(Holder.STORE, Map.of(Question.FIRST_POUR, NEW_SEAL))))
        .hasMessageContaining("FIRST_POUR");
  }

  @Test
  void aSchoolIsCompleteWithItsNumberAndNoOther() {
    assertThat(Choice.of(School.EVERY_NTH, new BigDecimal("3.0")).count()).isEqualTo(3);
    assertThatThrownBy(() -> Choice.of(School.EVERY_NTH)).hasMessageContaining("number");
    assertThatThrownBy(() -> Choice.of(School.EVERY_NTH, new BigDecimal("2.5")))
        .hasMessageContaining("2.5");
    assertThatThrownBy(() -> Choice.of(School.EVERY_NTH, BigDecimal.ONE))
        .hasMessageContaining("number");
    assertThatThrownBy(() -> Choice.of(School.SHORTENED, new BigDecimal("0.09")))
        .hasMessageContaining("0.09");
    assertThatThrownBy(() -> Choice.of(School.NEW_SEAL, BigDecimal.ONE))
        .hasMessageContaining("NEW_SEAL");
  }
}
