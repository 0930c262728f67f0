package dev.lonja.core.fluid;

import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.quantity.AshContent;
import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Why a product meets a spec or not, for the view to put into words. */
public sealed interface Reason {

  /** How far this reason alone lets the product go. */
  Level level();

  /** A reason that stops the product outright. */
  sealed interface Bar extends Reason {
    @Override
    default Level level() {
      return Level.NO;
    }
  }

  /** A reason that leaves the decision to a person. */
  sealed interface Doubt extends Reason {
    @Override
    default Level level() {
      return Level.SIGN_OFF;
    }
  }

  // step 1: kind and limits

  record KindDiffers(FluidKind wanted, FluidKind actual) implements Bar {}

  record ChemistryDiffers(Chemistry wanted, Chemistry actual) implements Bar {}

  record BaseDiffers(BrakeBase wanted, BrakeBase actual) implements Bar {}

  record AshTooHigh(AshContent most, AshContent actual) implements Bar {}

  record ZincTooLow(int least, int actual) implements Bar {}

  record HoldsFrictionModifier() implements Bar {}

  record LacksFrictionModifier() implements Bar {}

  /** A wet clutch would slip: no JASO MA is claimed or implied. */
  record NotForWetClutch() implements Bar {}

  record NotBiodegradable() implements Bar {}

  /** A limit whose value the product's data do not tell. */
  record LimitUnknown(Limit limit) implements Doubt {}

  /** What a limit is about. */
  enum Limit {
    CHEMISTRY,
    BASE,
    ASH,
    ZINC,
    FRICTION_MODIFIER,
    BIODEGRADABLE
  }

  // step 2: grade

  record NotOnChart(List<Grade> has, List<Grade> chart) implements Bar {}

  /** Too thick for the cold, in these months or anywhere in a range without months. */
  record TooThick(Grade grade, Set<Month> months, Level level) implements Reason {}

  /** Too thin for the heat, in these months or anywhere in a range without months. */
  record TooThin(Grade grade, Set<Month> months, Level level) implements Reason {}

  /** The months of the window that the grade covers whole. */
  record CoversMonths(Grade grade, Set<Month> months) implements Reason {
    @Override
    public Level level() {
      return Level.SEASONAL;
    }
  }

  /** Without a chart, an oil without a W grade says nothing of the cold. */
  record NoWinterGrade(List<Grade> has) implements Doubt {}

  /** The grade serves the whole window. */
  record GradeServes(Grade grade, boolean byChart) implements Reason {
    @Override
    public Level level() {
      return Level.LISTED;
    }
  }

  // step 3: approvals and classes

  record CarriesApproval(ApprovalCode code) implements Reason {
    @Override
    public Level level() {
      return Level.LISTED;
    }
  }

  /**
   * A group of classes is met.
   *
   * @param claimed by which claimed class each wanted one is met
   */
  record MeetsClasses(List<Met> claimed) implements Reason {
    @Override
    public Level level() {
      return Level.MEETS;
    }
  }

  /** A class that is wanted, and the claimed class that meets it. */
  record Met(ServiceClass wanted, ServiceClass by) {}

  /** The spec demands neither class nor approval. */
  record NothingDemanded() implements Reason {
    @Override
    public Level level() {
      return Level.MEETS;
    }
  }

  record SuitableForOnly(ApprovalCode code) implements Doubt {}

  /** One of these is demanded and none is carried. */
  record LacksApproval(List<ApprovalCode> wanted, Level level) implements Reason {}

  /** A code that is easily taken for the wanted one; never accepted. */
  record NearMiss(ApprovalCode carries, ApprovalCode wanted, Level level) implements Reason {}

  /**
   * No group of classes is met.
   *
   * @param missing what the group that comes nearest still lacks
   * @param olderClaim a claimed class that the missing one covers, since covering runs one way only
   */
  record LacksClasses(List<ServiceClass> missing, Optional<ServiceClass> olderClaim)
      implements Bar {}
}
