package dev.lonja.core.fluid;

import dev.lonja.core.grade.Climate;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.grade.GradeChart;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.grade.GradeTable;
import dev.lonja.core.grade.Window;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Temperature;
import java.math.BigDecimal;
import java.time.Month;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/** Products, specs and a small reference for worked examples, written from the public standards. */
public final class Fluids {

  static final ServiceClass CK4 = api("CK-4");
  static final ServiceClass CI4 = api("CI-4");
  static final ServiceClass CH4 = api("CH-4");
  static final ServiceClass FA4 = api("FA-4");
  static final ServiceClass SP = api("SP");
  static final ServiceClass SN = api("SN");
  static final ServiceClass GL4 = api("GL-4");
  static final ServiceClass GL5 = api("GL-5");
  static final ServiceClass C3 = new ServiceClass("ACEA", "C3");
  static final ServiceClass E7 = new ServiceClass("ACEA", "E7");
  static final ServiceClass MA = new ServiceClass("JASO", "MA");
  static final ServiceClass MA2 = new ServiceClass("JASO", "MA2");
  static final ServiceClass MB = new ServiceClass("JASO", "MB");
  static final ServiceClass DOT4 = new ServiceClass("", "DOT 4");
  static final ServiceClass DOT5 = new ServiceClass("", "DOT 5");
  static final ServiceClass DOT51 = new ServiceClass("", "DOT 5.1");

  static final FluidReference REFERENCE =
      new FluidReference(
          new GradeTable(
              Map.of("5W", celsius("-30"), "10W", celsius("-25"), "15W", celsius("-20")),
              Set.of("30", "40", "50"),
              Map.of("75W", celsius("-40"), "80W", celsius("-26")),
              Set.of("80", "90"),
              Set.of("32", "46"),
              Set.of("2")),
          new ClassList(
              List.of(
                  known(CK4),
                  known(CI4),
                  known(api("CI-4 PLUS")),
                  known(CH4),
                  known(FA4),
                  known(SP),
                  known(SN),
                  known(GL4),
                  known(GL5),
                  known(C3),
                  known(E7),
                  known(DOT4),
                  known(DOT5),
                  known(DOT51),
                  jaso(MA),
                  jaso(MA2),
                  jaso(MB))),
          Coverage.of(
              List.of(
                  new Coverage.Pair(CK4, api("CI-4 PLUS")),
                  new Coverage.Pair(api("CI-4 PLUS"), CI4),
                  new Coverage.Pair(CI4, CH4),
                  new Coverage.Pair(SP, SN),
                  new Coverage.Pair(MA2, MA),
                  new Coverage.Pair(DOT51, DOT4))),
          Map.of());

  /** January to December: from 2 °C to 37 °C, with −12 °C in January for a hard winter. */
  static final Climate HARD_WINTER = climate(-120, 370);

  static final Climate HARBOUR = climate(20, 370);

  private Fluids() {}

  private static Climate climate(int januaryLow, int augustHigh) {
    return new Climate(
        IntStream.rangeClosed(1, 12)
            .mapToObj(
                month ->
                    new Climate.MonthRange(
                        new Temperature(month == 1 ? januaryLow : 50),
                        new Temperature(month == 8 ? augustHigh : 290)))
            .toList());
  }

  public static ServiceClass api(String name) {
    return new ServiceClass("API", name);
  }

  private static ClassList.Entry known(ServiceClass serviceClass) {
    return new ClassList.Entry(serviceClass, false);
  }

  private static ClassList.Entry jaso(ServiceClass serviceClass) {
    return new ClassList.Entry(serviceClass, true);
  }

  public static Temperature celsius(String degrees) {
    return Temperature.ofCelsius(new BigDecimal(degrees));
  }

  public static Set<Month> allBut(Month... months) {
    Set<Month> left = EnumSet.allOf(Month.class);
    left.removeAll(List.of(months));
    return left;
  }

  /** A product under construction. */
  public static final class Oil {
    private final FluidKind kind;
    private final String grade;
    private final String label;
    private final List<Approval> approvals = new ArrayList<>();
    private ProductId id = new ProductId(1);
    private Product.Data data = Product.Data.UNKNOWN;

    private Oil(FluidKind kind, String grade, String label) {
      this.kind = kind;
      this.grade = grade;
      this.label = label;
    }

    public Oil id(ProductId other) {
      id = other;
      return this;
    }

    public Oil listed(String code) {
      approvals.add(new Approval(new ApprovalCode(code), true));
      return this;
    }

    public Oil suitableFor(String code) {
      approvals.add(new Approval(new ApprovalCode(code), false));
      return this;
    }

    public Oil ash(String percent) {
      return data(Optional.of(AshContent.ofPercent(new BigDecimal(percent))), data.base());
    }

    public Oil base(BrakeBase base) {
      return data(data.ash(), Optional.of(base));
    }

    private Oil data(Optional<AshContent> ash, Optional<BrakeBase> base) {
      data =
          new Product.Data(
              ash,
              data.zincMilligrams(),
              data.frictionModifier(),
              data.biodegradable(),
              data.density(),
              data.chemistry(),
              base,
              data.type(),
              Optional.empty(),
              List.of());
      return this;
    }

    public Oil zinc(int milligrams) {
      return with(Optional.of(milligrams), data.frictionModifier(), data.biodegradable());
    }

    public Oil modifier(boolean holds) {
      return with(data.zincMilligrams(), Optional.of(holds), data.biodegradable());
    }

    public Oil biodegradable(boolean is) {
      return with(data.zincMilligrams(), data.frictionModifier(), Optional.of(is));
    }

    private Oil with(Optional<Integer> zinc, Optional<Boolean> modifier, Optional<Boolean> bio) {
      data =
          new Product.Data(
              data.ash(),
              zinc,
              modifier,
              bio,
              data.density(),
              data.chemistry(),
              data.base(),
              data.type(),
              Optional.empty(),
              List.of());
      return this;
    }

    public Oil family(Chemistry family) {
      return of(Optional.of(family), data.type());
    }

    public Oil type(HydraulicType type) {
      return of(data.chemistry(), Optional.of(type));
    }

    private Oil of(Optional<Chemistry> family, Optional<HydraulicType> type) {
      data =
          new Product.Data(
              data.ash(),
              data.zincMilligrams(),
              data.frictionModifier(),
              data.biodegradable(),
              data.density(),
              family,
              data.base(),
              type,
              Optional.empty(),
              List.of());
      return this;
    }

    public ProductClaims read() {
      return REFERENCE.read(
          new Product(id, "Maretta", "Oil " + id, kind, grade, label, approvals, data, 0));
    }
  }

  public static Oil engineOil(String grade, String label) {
    return new Oil(FluidKind.ENGINE_OIL, grade, label);
  }

  public static Oil gearOil(String grade, String label) {
    return new Oil(FluidKind.GEAR_OIL, grade, label);
  }

  public static Oil fluid(FluidKind kind) {
    return new Oil(kind, "", "");
  }

  public static GradeRow row(String grade, String low, String high) {
    return new GradeRow(new Grade(grade), end(low), end(high));
  }

  private static Optional<Temperature> end(String degrees) {
    return degrees.isEmpty() ? Optional.empty() : Optional.of(celsius(degrees));
  }

  public static Spec spec(FluidKind kind, List<Set<ServiceClass>> groups, GradeRow... rows) {
    return new Spec(
        kind,
        new GradeChart(List.of(rows)),
        groups,
        List.of(),
        Spec.ApprovalMode.OR_CLASS,
        Spec.Limits.NONE);
  }

  public static Spec approved(Spec spec, Spec.ApprovalMode mode, String... codes) {
    return new Spec(
        spec.kind(),
        spec.chart(),
        spec.classGroups(),
        List.of(codes).stream().map(ApprovalCode::new).toList(),
        mode,
        spec.limits());
  }

  public static Spec limited(Spec spec, Spec.Limits limits) {
    return new Spec(
        spec.kind(), spec.chart(), spec.classGroups(), spec.approvals(), spec.mode(), limits);
  }

  public static Suitability judge(Spec spec, ProductClaims product) {
    return judge(spec, Window.year(HARBOUR), product);
  }

  public static Suitability judge(Spec spec, Window window, ProductClaims product) {
    return new SpecJudge(spec, window, REFERENCE).judge(product);
  }
}
