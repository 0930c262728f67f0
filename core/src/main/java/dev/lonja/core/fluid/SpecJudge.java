package dev.lonja.core.fluid;

import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.grade.Window;
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
    GradeFit grade = grade(product);
    return new Standing(
        worst(firstStep(product)), grade.level(), claims(product).level(), grade.season());
  }

  /** The verdict, with every reason for and against; a step that fails hides no other. */
  public Suitability judge(ProductClaims product) {
    List<Reason> reasons = new ArrayList<>(firstStep(product));
    reasons.addAll(grade(product).reasons());
    addClaims(product, claims(product), reasons);
    return new Suitability(stand(product), reasons);
  }

  /** The kind, and the limits if it is the one that is wanted. */
  private List<Reason> firstStep(ProductClaims product) {
    FluidKind kind = product.product().kind();
    return kind == spec.kind()
        ? LimitCheck.reasons(spec.limits(), product)
        : List.of(new Reason.KindDiffers(spec.kind(), kind));
  }

  private static Level worst(List<Reason> reasons) {
    Level worst = Level.LISTED;
    for (Reason reason : reasons) {
      worst = worst.worst(reason.level());
    }
    return worst;
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
    addNearMisses(product, claims.level(), reasons);
  }

  private void addShortfall(ProductClaims product, Claims claims, List<Reason> reasons) {
    Optional<ApprovalCode> suitable = carried(product.suitableKeys());
    suitable.map(Reason.SuitableForOnly::new).ifPresent(reasons::add);
    if (!spec.approvals().isEmpty()) {
      reasons.add(new Reason.LacksApproval(spec.approvals(), claims.level()));
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

  /** Named beside every verdict, so that nobody takes the one for the other. */
  private void addNearMisses(ProductClaims product, Level level, List<Reason> reasons) {
    for (Approval carried : product.product().approvals()) {
      for (ApprovalCode wanted : spec.approvals()) {
        boolean isWantedItself = approvalKeys.contains(carried.code().key());
        if (!isWantedItself && carried.code().isNearMissOf(wanted)) {
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
