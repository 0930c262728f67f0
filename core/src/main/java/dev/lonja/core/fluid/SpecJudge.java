package dev.lonja.core.fluid;

import dev.lonja.core.quantity.AshContent;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Judges products for one spec in one window, in three steps: kind and limits; grade; approvals and
 * classes. The overall verdict is the worst of the three. What the window and the chart say of a
 * grade is worked out once and kept, so that many products cost little each; a judge is for one
 * thread.
 */
public final class SpecJudge {

  private static final GradeFit NOT_GRADED = new GradeFit(Level.LISTED, Set.of(), List.of());
  private static final Comparator<List<ServiceClass>> FEWEST = Comparator.comparing(List::size);

  private final Spec spec;
  private final Window window;
  private final FluidReference reference;
  private final Map<String, List<GradeRow>> chart = new HashMap<>();
  private final Map<String, GradeFit> fits = new HashMap<>();
  private final List<Grade> chartGrades;
  private final List<String> approvalKeys;

  public SpecJudge(Spec spec, Window window, FluidReference reference) {
    this.spec = spec;
    this.window = window;
    this.reference = reference;
    this.chartGrades = grades(spec);
    this.approvalKeys = spec.approvals().stream().map(ApprovalCode::key).toList();
    spec.chart()
        .rows()
        .forEach(row -> chart.computeIfAbsent(row.grade().key(), k -> new ArrayList<>()).add(row));
  }

  /** Where a product stands, without the reasons: what a matrix of many needs. */
  public Standing stand(ProductClaims product) {
    if (product.product().kind() != spec.kind()) {
      return Standing.OTHER_KIND;
    }
    GradeFit grade = grade(product);
    return new Standing(
        worst(limits(product)), grade.level(), claims(product).level(), grade.season());
  }

  /** The verdict, with every reason for and against. */
  public Suitability judge(ProductClaims product) {
    FluidKind kind = product.product().kind();
    if (kind != spec.kind()) {
      return new Suitability(
          Standing.OTHER_KIND, List.of(new Reason.KindDiffers(spec.kind(), kind)));
    }
    List<Reason> reasons = new ArrayList<>(limits(product));
    reasons.addAll(grade(product).reasons());
    addClaims(product, claims(product), reasons);
    return new Suitability(stand(product), reasons);
  }

  private static Level worst(List<Reason> reasons) {
    Level worst = Level.LISTED;
    for (Reason reason : reasons) {
      worst = worst.worst(reason.level());
    }
    return worst;
  }

  /** What the kind's limits hold against it; none if nothing does. */
  private List<Reason> limits(ProductClaims product) {
    if (spec.limits().equals(Spec.Limits.NONE)) {
      return List.of();
    }
    List<Reason> reasons = new ArrayList<>(2);
    Product.Data data = product.product().data();
    Spec.Limits limits = spec.limits();
    if (limits.chemistry().isPresent() && !limits.chemistry().equals(data.chemistry())) {
      Chemistry wanted = limits.chemistry().get();
      reasons.add(
          data.chemistry()
              .<Reason>map(actual -> new Reason.ChemistryDiffers(wanted, actual))
              .orElse(new Reason.LimitUnknown(Reason.Limit.CHEMISTRY)));
    }
    if (limits.base().isPresent() && !limits.base().equals(data.base())) {
      BrakeBase wanted = limits.base().get();
      reasons.add(
          data.base()
              .<Reason>map(actual -> new Reason.BaseDiffers(wanted, actual))
              .orElse(new Reason.LimitUnknown(Reason.Limit.BASE)));
    }
    limits.mostAsh().flatMap(most -> ash(most, data)).ifPresent(reasons::add);
    limits.leastZincMilligrams().flatMap(least -> zinc(least, data)).ifPresent(reasons::add);
    frictionModifier(product).ifPresent(reasons::add);
    if (limits.wetClutch() && !product.isForWetClutches()) {
      reasons.add(new Reason.NotForWetClutch());
    }
    if (limits.biodegradable() && !data.biodegradable().equals(Optional.of(true))) {
      reasons.add(
          data.biodegradable().isPresent()
              ? new Reason.NotBiodegradable()
              : new Reason.LimitUnknown(Reason.Limit.BIODEGRADABLE));
    }
    return reasons;
  }

  private static Optional<Reason> ash(AshContent most, Product.Data data) {
    if (data.ash().isEmpty()) {
      return Optional.of(new Reason.LimitUnknown(Reason.Limit.ASH));
    }
    return data.ash()
        .filter(actual -> actual.compareTo(most) > 0)
        .map(actual -> new Reason.AshTooHigh(most, actual));
  }

  private static Optional<Reason> zinc(int least, Product.Data data) {
    if (data.zincMilligrams().isEmpty()) {
      return Optional.of(new Reason.LimitUnknown(Reason.Limit.ZINC));
    }
    return data.zincMilligrams()
        .filter(actual -> actual < least)
        .map(actual -> new Reason.ZincTooLow(least, actual));
  }

  /** A wet clutch forbids friction modifiers whatever else the spec says of them. */
  private Optional<Reason> frictionModifier(ProductClaims product) {
    boolean forbidden =
        spec.limits().wetClutch()
            || spec.limits().frictionModifier() == Spec.FrictionModifier.FORBIDDEN;
    boolean required = spec.limits().frictionModifier() == Spec.FrictionModifier.REQUIRED;
    if (!forbidden && !required) {
      return Optional.empty();
    }
    if (product.frictionModifier().isEmpty()) {
      return Optional.of(new Reason.LimitUnknown(Reason.Limit.FRICTION_MODIFIER));
    }
    boolean holds = product.frictionModifier().get();
    if (holds && forbidden) {
      return Optional.of(new Reason.HoldsFrictionModifier());
    }
    return !holds && required ? Optional.of(new Reason.LacksFrictionModifier()) : Optional.empty();
  }

  private GradeFit grade(ProductClaims product) {
    if (!spec.chart().isEmpty()) {
      return best(product, this::onChart).orElseGet(() -> notOnChart(product));
    }
    boolean startsCold = spec.kind() == FluidKind.ENGINE_OIL || spec.kind() == FluidKind.GEAR_OIL;
    if (!startsCold) {
      return NOT_GRADED;
    }
    return best(
            product, grade -> fits.computeIfAbsent(grade.key(), key -> withoutChart(grade.grade())))
        .orElseGet(() -> noWinterGrade(List.of()));
  }

  private static Optional<GradeFit> best(
      ProductClaims product, Function<ProductClaims.KeyedGrade, @Nullable GradeFit> fit) {
    GradeFit best = null;
    for (ProductClaims.KeyedGrade grade : product.grades()) {
      GradeFit one = fit.apply(grade);
      if (one != null) {
        best = best == null ? one : GradeFit.better(best, one);
      }
    }
    return Optional.ofNullable(best);
  }

  private GradeFit notOnChart(ProductClaims product) {
    List<Grade> has = product.grades().stream().map(ProductClaims.KeyedGrade::grade).toList();
    return new GradeFit(Level.NO, Set.of(), List.of(new Reason.NotOnChart(has, chartGrades)));
  }

  private @Nullable GradeFit onChart(ProductClaims.KeyedGrade grade) {
    GradeFit known = fits.get(grade.key());
    if (known != null || !chart.containsKey(grade.key())) {
      return known;
    }
    return fits.computeIfAbsent(grade.key(), this::workedOut);
  }

  private GradeFit workedOut(String key) {
    return chart.get(key).stream()
        .map(row -> GradeFit.of(row, window, true))
        .reduce(GradeFit::better)
        .orElseThrow();
  }

  private GradeFit withoutChart(Grade grade) {
    return reference
        .grades()
        .coldLimit(spec.kind(), grade)
        .map(cold -> new GradeRow(grade, Optional.of(cold), Optional.empty()))
        .map(row -> GradeFit.of(row, window, false))
        .orElseGet(() -> noWinterGrade(List.of(grade)));
  }

  private static GradeFit noWinterGrade(List<Grade> has) {
    return new GradeFit(Level.SIGN_OFF, Set.of(), List.of(new Reason.NoWinterGrade(has)));
  }

  private static List<Grade> grades(Spec spec) {
    Set<String> seen = new HashSet<>();
    return spec.chart().rows().stream()
        .map(GradeRow::grade)
        .filter(grade -> seen.add(grade.key()))
        .toList();
  }

  /** Where approvals and classes leave a product. */
  private enum Claims {
    LISTED(Level.LISTED),
    MEETS(Level.MEETS),
    NOTHING_DEMANDED(Level.MEETS),
    SHORT(Level.SIGN_OFF),
    LACKS(Level.NO);

    private final Level level;

    Claims(Level level) {
      this.level = level;
    }

    Level level() {
      return level;
    }
  }

  private Claims claims(ProductClaims product) {
    if (carried(product.listedKeys()).isPresent()) {
      return Claims.LISTED;
    }
    boolean met = metGroup(product).isPresent();
    if (met && classesSuffice()) {
      return Claims.MEETS;
    }
    if (spec.classGroups().isEmpty() && spec.approvals().isEmpty()) {
      return Claims.NOTHING_DEMANDED;
    }
    return met || carried(product.suitableKeys()).isPresent() ? Claims.SHORT : Claims.LACKS;
  }

  private boolean classesSuffice() {
    return spec.approvals().isEmpty() || spec.mode() == Spec.ApprovalMode.OR_CLASS;
  }

  private void addClaims(ProductClaims product, Claims claims, List<Reason> reasons) {
    switch (claims) {
      case LISTED ->
          reasons.add(new Reason.CarriesApproval(carried(product.listedKeys()).orElseThrow()));
      case NOTHING_DEMANDED -> reasons.add(new Reason.NothingDemanded());
      case MEETS, SHORT, LACKS -> {
        metGroup(product).map(group -> meeting(product, group)).ifPresent(reasons::add);
        if (claims != Claims.MEETS) {
          addShortfall(product, claims, reasons);
        }
      }
    }
  }

  private void addShortfall(ProductClaims product, Claims claims, List<Reason> reasons) {
    Optional<ApprovalCode> suitable = carried(product.suitableKeys());
    suitable.map(Reason.SuitableForOnly::new).ifPresent(reasons::add);
    if (!spec.approvals().isEmpty()) {
      reasons.add(new Reason.LacksApproval(spec.approvals(), claims.level()));
      addNearMisses(product, claims.level(), reasons);
    }
    boolean lacksClasses = claims == Claims.LACKS && !spec.classGroups().isEmpty();
    if (lacksClasses && classesSuffice()) {
      reasons.add(lacking(product));
    }
  }

  private Optional<ApprovalCode> carried(Set<String> keys) {
    if (!keys.isEmpty()) {
      for (int i = 0; i < approvalKeys.size(); i++) {
        if (keys.contains(approvalKeys.get(i))) {
          return Optional.of(spec.approvals().get(i));
        }
      }
    }
    return Optional.empty();
  }

  private void addNearMisses(ProductClaims product, Level level, List<Reason> reasons) {
    for (Approval carried : product.product().approvals()) {
      for (ApprovalCode wanted : spec.approvals()) {
        if (carried.code().isNearMissOf(wanted)) {
          reasons.add(new Reason.NearMiss(carried.code(), wanted, level));
        }
      }
    }
  }

  private Optional<Set<ServiceClass>> metGroup(ProductClaims product) {
    for (Set<ServiceClass> group : spec.classGroups()) {
      if (product.met().containsAll(group)) {
        return Optional.of(group);
      }
    }
    return Optional.empty();
  }

  private Reason meeting(ProductClaims product, Set<ServiceClass> group) {
    return new Reason.MeetsClasses(
        group.stream()
            .sorted()
            .map(wanted -> new Reason.Met(wanted, by(product, wanted)))
            .toList());
  }

  private ServiceClass by(ProductClaims product, ServiceClass wanted) {
    return reference.coverage().meeting(product.claimed(), wanted).orElseThrow();
  }

  private Reason lacking(ProductClaims product) {
    List<ServiceClass> missing =
        spec.classGroups().stream()
            .map(group -> group.stream().filter(c -> !product.met().contains(c)).sorted().toList())
            .min(FEWEST)
            .orElseThrow();
    Optional<ServiceClass> older =
        product.claimed().stream()
            .filter(claimed -> missing.stream().anyMatch(m -> covers(m, claimed)))
            .min(Comparator.naturalOrder());
    return new Reason.LacksClasses(missing, older);
  }

  private boolean covers(ServiceClass newer, ServiceClass older) {
    return reference.coverage().of(newer).contains(older);
  }
}
