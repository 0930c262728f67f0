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

/**
 * Judges products for one spec in one window, in three steps: kind and limits; grade; approvals and
 * classes. The overall verdict is the worst of the three. What the window and the chart say of a
 * grade is worked out once and kept, so that many products cost little each; a judge is for one
 * thread.
 */
public final class SpecJudge {

  private static final Comparator<List<ServiceClass>> FEWEST = Comparator.comparing(List::size);

  private final Spec spec;
  private final Window window;
  private final FluidReference reference;
  private final Map<String, List<GradeRow>> chart = new HashMap<>();
  private final Map<String, GradeFit> fits = new HashMap<>();

  public SpecJudge(Spec spec, Window window, FluidReference reference) {
    this.spec = spec;
    this.window = window;
    this.reference = reference;
    spec.chart()
        .rows()
        .forEach(row -> chart.computeIfAbsent(row.grade().key(), k -> new ArrayList<>()).add(row));
  }

  /** The verdict, with every reason for and against. */
  public Suitability judge(ProductClaims product) {
    FluidKind kind = product.product().kind();
    if (kind != spec.kind()) {
      List<Reason> reasons = List.of(new Reason.KindDiffers(spec.kind(), kind));
      return new Suitability(Level.NO, Level.NO, Level.NO, reasons, Set.of());
    }
    List<Reason> reasons = new ArrayList<>();
    addLimits(product, reasons);
    Level limits = reasons.stream().map(Reason::level).reduce(Level.LISTED, Level::worst);
    GradeFit grade = grade(product);
    reasons.addAll(grade.reasons());
    Level claims = addClaims(product, reasons);
    return new Suitability(limits, grade.level(), claims, reasons, grade.season());
  }

  private void addLimits(ProductClaims product, List<Reason> reasons) {
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
    List<Grade> has = product.grades().stream().map(ProductClaims.KeyedGrade::grade).toList();
    if (!spec.chart().isEmpty()) {
      return product.grades().stream()
          .filter(grade -> chart.containsKey(grade.key()))
          .map(grade -> fits.computeIfAbsent(grade.key(), this::onChart))
          .reduce(GradeFit::better)
          .orElseGet(
              () ->
                  new GradeFit(
                      Level.NO, Set.of(), List.of(new Reason.NotOnChart(has, chartGrades()))));
    }
    boolean startsCold = spec.kind() == FluidKind.ENGINE_OIL || spec.kind() == FluidKind.GEAR_OIL;
    if (!startsCold) {
      return new GradeFit(Level.LISTED, Set.of(), List.of());
    }
    return product.grades().stream()
        .map(grade -> fits.computeIfAbsent(grade.key(), key -> withoutChart(grade.grade())))
        .reduce(GradeFit::better)
        .orElseGet(() -> noWinterGrade(has));
  }

  private GradeFit onChart(String key) {
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

  private List<Grade> chartGrades() {
    Set<String> seen = new HashSet<>();
    return spec.chart().rows().stream()
        .map(GradeRow::grade)
        .filter(grade -> seen.add(grade.key()))
        .toList();
  }

  private Level addClaims(ProductClaims product, List<Reason> reasons) {
    Optional<ApprovalCode> listed = carried(product.listedKeys());
    if (listed.isPresent()) {
      reasons.add(new Reason.CarriesApproval(listed.get()));
      return Level.LISTED;
    }
    Optional<List<Reason.Met>> group = metGroup(product);
    boolean classesSuffice =
        spec.approvals().isEmpty() || spec.mode() == Spec.ApprovalMode.OR_CLASS;
    if (group.isPresent() && classesSuffice) {
      reasons.add(new Reason.MeetsClasses(group.get()));
      return Level.MEETS;
    }
    if (spec.classGroups().isEmpty() && spec.approvals().isEmpty()) {
      reasons.add(new Reason.NothingDemanded());
      return Level.MEETS;
    }
    return addShortfall(product, group, classesSuffice, reasons);
  }

  private Level addShortfall(
      ProductClaims product,
      Optional<List<Reason.Met>> group,
      boolean classesSuffice,
      List<Reason> reasons) {
    Optional<ApprovalCode> suitable = carried(product.suitableKeys());
    Level level = suitable.isPresent() || group.isPresent() ? Level.SIGN_OFF : Level.NO;
    suitable.map(Reason.SuitableForOnly::new).ifPresent(reasons::add);
    group.map(Reason.MeetsClasses::new).ifPresent(reasons::add);
    if (!spec.approvals().isEmpty()) {
      reasons.add(new Reason.LacksApproval(spec.approvals(), level));
      addNearMisses(product, level, reasons);
    }
    if (group.isEmpty() && classesSuffice && !spec.classGroups().isEmpty() && suitable.isEmpty()) {
      reasons.add(lacking(product));
    }
    return level;
  }

  private Optional<ApprovalCode> carried(Set<String> keys) {
    return spec.approvals().stream().filter(code -> keys.contains(code.key())).findFirst();
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

  private Optional<List<Reason.Met>> metGroup(ProductClaims product) {
    return spec.classGroups().stream()
        .filter(group -> product.met().containsAll(group))
        .findFirst()
        .map(
            group ->
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
