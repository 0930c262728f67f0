package dev.lonja.web.product;

import dev.lonja.core.fluid.Approval;
import dev.lonja.core.fluid.ApprovalCode;
import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.FluidReference;
import dev.lonja.core.fluid.HydraulicType;
import dev.lonja.core.fluid.NewProduct;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.mixture.Glycol;
import dev.lonja.core.mixture.Strength;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Density;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.fluid.ProductSheet;
import dev.lonja.web.request.Typed;
import dev.lonja.web.spec.SpecEntry;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads the form of a product; what is wrong is in {@code typed}. */
final class ProductEntry {

  private static final int LONGEST_NAME = Lengths.NAME;
  private static final int LONGEST_LABEL = Lengths.DESCRIPTION;
  private static final int LONGEST_GRADE = Lengths.GRADE;

  private final Map<String, String> form;
  private final FluidReference reference;
  private final Typed typed;

  ProductEntry(Map<String, String> form, FluidReference reference, Typed typed) {
    this.form = form;
    this.reference = reference;
    this.typed = typed;
  }

  private String text(String field) {
    return form.getOrDefault(field, "").strip();
  }

  /** The product of the form; empty if something is wrong. */
  Optional<NewProduct> product(List<String> knownHazards) {
    Optional<String> make = typed.text("make", "The make", text("make"), LONGEST_NAME);
    Optional<String> name = typed.text("name", "The name", text("name"), LONGEST_NAME);
    Optional<FluidKind> kind = choice(FluidKind.values(), "kind");
    if (kind.isEmpty()) {
      typed.refuse("kind", "Choose what the fluid is for.");
    }
    kind.ifPresent(this::checkGrades);
    shorter("classes", "The label", LONGEST_LABEL);
    List<Approval> approvals = approvals();
    Product.Data data = data(kind.orElse(FluidKind.WASHER_FLUID), knownHazards);
    return typed.problems().isEmpty()
        ? Optional.of(
            new NewProduct(
                make.orElseThrow(),
                name.orElseThrow(),
                kind.orElseThrow(),
                text("grade"),
                text("classes"),
                approvals,
                data))
        : Optional.empty();
  }

  private void checkGrades(FluidKind kind) {
    shorter("grade", "The grade", LONGEST_GRADE);
    if (!kind.isGraded() && !text("grade").isEmpty()) {
      typed.refuse(
          "grade",
          "The grade is \"" + text("grade") + "\"; a " + kind.words() + " fluid has none.");
      return;
    }
    for (Grade grade : Grade.all(text("grade"))) {
      if (!reference.grades().isGrade(kind, grade)) {
        typed.refuse(
            "grade",
            "\""
                + grade.text()
                + "\" is not a grade of "
                + kind.words()
                + " fluids; those that exist are under Setup, standards.");
      }
    }
  }

  private void shorter(String field, String what, int longest) {
    if (!text(field).isEmpty()) {
      typed.text(field, what, text(field), longest);
    }
  }

  private List<Approval> approvals() {
    Map<String, Approval> approvals = new LinkedHashMap<>();
    for (ApprovalCode code : SpecEntry.codes(text("listed"), "listed", typed)) {
      approvals.put(code.key(), new Approval(code, true));
    }
    for (ApprovalCode code : SpecEntry.codes(text("suitable"), "suitable", typed)) {
      approvals.putIfAbsent(code.key(), new Approval(code, false));
    }
    return new ArrayList<>(approvals.values());
  }

  private Product.Data data(FluidKind kind, List<String> knownHazards) {
    Optional<Chemistry> family =
        text("chemistry").isEmpty() || kind != FluidKind.COOLANT
            ? Optional.empty()
            : Chemistry.ofLabel(text("chemistry"));
    if (family.isEmpty() && kind == FluidKind.COOLANT && !text("chemistry").isEmpty()) {
      typed.refuse("chemistry", "\"" + text("chemistry") + "\" is no family of coolants.");
    }
    return new Product.Data(
        text("ash").isEmpty()
            ? Optional.empty()
            : typed
                .decimalFromZero("ash", "The ash in per cent", text("ash"), Limits.PER_CENT)
                .map(AshContent::ofPercent),
        text("zinc").isEmpty()
            ? Optional.empty()
            : typed.wholeBetween("zinc", "The zinc in mg/kg", text("zinc"), 0, Limits.MG_KG),
        yesNo("modifier"),
        yesNo("biodegradable"),
        text("density").isEmpty()
            ? Optional.empty()
            : typed
                .decimalBetween(
                    "density",
                    "The density in kg/m³",
                    text("density"),
                    BigDecimal.ONE,
                    BigDecimal.valueOf(Limits.DENSITY),
                    3)
                .map(Density::ofKilogramsPerCubicMetre),
        family,
        kind == FluidKind.BRAKE_FLUID ? choice(BrakeBase.values(), "base") : Optional.empty(),
        kind == FluidKind.HYDRAULIC_OIL ? choice(HydraulicType.values(), "type") : Optional.empty(),
        strength(kind),
        knownHazards.stream()
            .filter(code -> text(ProductSheet.HAZARD + code).equals("yes"))
            .toList());
  }

  private Optional<Strength> strength(FluidKind kind) {
    if (!kind.isMixed()) {
      return Optional.empty();
    }
    Optional<Glycol> glycol = choice(Glycol.values(), "glycol");
    Optional<FreezeTable> own = freezePoints();
    if (text("mixShare").isEmpty()) {
      if (glycol.isPresent() || own.isPresent()) {
        typed.refuse(
            "mixShare",
            "How much of it is concentrate is missing: 100 for a concentrate, less for what is"
                + " ready mixed.");
      }
      return Optional.empty();
    }
    return typed
        .decimalUpTo("mixShare", "The concentrate in it, in %,", text("mixShare"), 100, 2)
        .map(percent -> new Strength(percent.movePointLeft(2), glycol, own));
  }

  private Optional<FreezeTable> freezePoints() {
    if (text("freezePoints").isEmpty()) {
      return Optional.empty();
    }
    Optional<FreezeTable> table = FreezeTable.read(text("freezePoints").replace(',', '.'));
    if (table.isEmpty()) {
      typed.refuse(
          "freezePoints",
          "\""
              + text("freezePoints")
              + "\" is no table of freeze points; write shares that rise and °C that fall, such as"
              + " 0.33 -18; 0.5 -36.");
    }
    return table;
  }

  private Optional<Boolean> yesNo(String field) {
    return typed.choiceOrNone(field, text(field), Map.of("yes", true, "no", false));
  }

  private <T extends Enum<T>> Optional<T> choice(T[] values, String field) {
    return typed.choiceOrNone(field, text(field), values);
  }
}
