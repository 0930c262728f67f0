package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.ExchangeTables.BOOKED_MINOR;
import static dev.lonja.store.exchange.ExchangeTables.LITRES_UL;
import static dev.lonja.store.exchange.ExchangeTables.MOST;
import static dev.lonja.store.exchange.ExchangeTables.QUANTITY_MICRO;
import static dev.lonja.store.exchange.Format.date;
import static dev.lonja.store.exchange.Format.freezePoints;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.oneOf;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.symbol;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.exchange.Format.yesNo;
import static dev.lonja.store.schema.Tables.CHANGE_OVER;
import static dev.lonja.store.schema.Tables.CLIMATE_MONTH;
import static dev.lonja.store.schema.Tables.DATA_SHEET;
import static dev.lonja.store.schema.Tables.PRODUCT;
import static dev.lonja.store.schema.Tables.PRODUCT_APPROVAL;
import static dev.lonja.store.schema.Tables.REFERENCE_CHANGE;
import static dev.lonja.store.schema.Tables.SIGN_OFF;
import static dev.lonja.store.schema.Tables.SPEC_APPROVAL;
import static dev.lonja.store.schema.Tables.SPEC_CLASS;
import static dev.lonja.store.schema.Tables.SPEC_GRADE;
import static dev.lonja.store.schema.Tables.STUDY;
import static dev.lonja.store.schema.Tables.STUDY_FORCE;
import static dev.lonja.store.schema.Tables.STUDY_LINE;
import static dev.lonja.store.schema.Tables.STUDY_PRODUCT;
import static dev.lonja.store.schema.Tables.TOP_UP;

import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.HydraulicType;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.mixture.Glycol;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.store.fluid.DataSheetRepository;
import dev.lonja.store.reference.ReferenceFile;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/** Fluids, what compartments demand of them, and what was signed for and studied. */
final class FluidTables {

  static final List<ExchangeTable> PRODUCTS =
      List.of(products(), productApprovals(), dataSheets(), climateMonths(), referenceChanges());

  static final List<ExchangeTable> SPECS = List.of(specGrades(), specClasses(), specApprovals());

  static final List<ExchangeTable> RECORDS =
      List.of(topUps(), studies(), studyProducts(), studyLines(), studyForces(), changeOvers());

  private FluidTables() {}

  private static ExchangeTable products() {
    return ExchangeTable.named("products", PRODUCT)
        .with(number("id", PRODUCT.ID, "number of the row"))
        .with(of("make", PRODUCT.MAKE, text(Lengths.NAME), "who makes it"))
        .with(of("name", PRODUCT.NAME, text(Lengths.NAME), "what it is called"))
        .with(of("kind", PRODUCT.KIND, words(FluidKind.values()), "what it is for"))
        .with(of("grade", PRODUCT.GRADE, text(Lengths.GRADE), "viscosity grade").orEmptyText())
        .with(
            of("classes", PRODUCT.CLASSES, text(Lengths.DESCRIPTION), "what the label claims")
                .orEmptyText())
        .with(
            of("ash_pct", PRODUCT.ASH_E3, scaled(3, 0, 1_000L * Limits.PER_CENT), "sulphated ash")
                .optional())
        .with(of("zinc_mg_kg", PRODUCT.ZINC_MG_KG, whole(0, Limits.MG_KG), "zinc").optional())
        .with(
            of("friction_modifier", PRODUCT.FRICTION_MODIFIER, yesNo(), "whether it holds one")
                .optional())
        .with(of("biodegradable", PRODUCT.BIODEGRADABLE, yesNo(), "readily").optional())
        .with(
            of(
                    "density_15c_kg_m3",
                    PRODUCT.DENSITY_G_M3,
                    scaled(3, 1_000, 1_000L * Limits.DENSITY),
                    "density at 15 °C")
                .optional())
        .with(of("chemistry", PRODUCT.CHEMISTRY, words(Chemistry.values()), "family").optional())
        .with(of("base", PRODUCT.BASE, words(BrakeBase.values()), "of brake fluid").optional())
        .with(
            of(
                    "hydraulic_type",
                    PRODUCT.HYDRAULIC_TYPE,
                    words(HydraulicType.values()),
                    "ISO 6743-4")
                .optional())
        .with(
            of(
                    "mix_share",
                    PRODUCT.MIX_SHARE_E4,
                    scaled(4, 1, 10_000),
                    "part of concentrate as it comes: 1 for a concentrate")
                .optional())
        .with(of("glycol", PRODUCT.GLYCOL, words(Glycol.values()), "what it rests on").optional())
        .with(
            of("freeze_points", PRODUCT.FREEZE_POINTS, freezePoints(), "from its label").optional())
        .with(
            of(
                    "hazards",
                    PRODUCT.HAZARDS,
                    text(Lengths.REASON),
                    "codes of hazard texts, \", \" between them")
                .orEmptyText())
        .with(of("version", PRODUCT.VERSION, whole(0, MOST), "number of edits"))
        .unique("make", "name")
        .rule(
            new RowRule(
                "mix_share",
                "filled for coolant and washer_fluid only, and where glycol or freeze_points is",
                FluidTables::mixesAgree))
        .build();
  }

  private static boolean mixesAgree(Map<String, String> row) {
    boolean isMixed = row.get("kind").equals("coolant") || row.get("kind").equals("washer_fluid");
    return row.get("mix_share").isEmpty()
        ? row.get("glycol").isEmpty() && row.get("freeze_points").isEmpty()
        : isMixed;
  }

  private static ExchangeTable dataSheets() {
    return ExchangeTable.named("data_sheets", DATA_SHEET)
        .with(number("id", DATA_SHEET.ID, "number of the row"))
        .with(reference("product_id", DATA_SHEET.PRODUCT_ID, "products", "the product"))
        .with(of("kind", DATA_SHEET.KIND, words(DataSheetRepository.Kind.values()), "which sheet"))
        .with(of("dated_on", DATA_SHEET.DATED_ON, date(), "the day that stands on it"))
        .with(of("content_base64", DATA_SHEET.CONTENT, Format.paper(), "its pages"))
        .with(of("actor", DATA_SHEET.ACTOR, text(Lengths.NAME), "who kept it"))
        .with(of("recorded_at", DATA_SHEET.RECORDED_AT, instant(), "when"))
        .build();
  }

  private static ExchangeTable productApprovals() {
    return ExchangeTable.named("product_approvals", PRODUCT_APPROVAL)
        .with(number("id", PRODUCT_APPROVAL.ID, "number of the row"))
        .with(reference("product_id", PRODUCT_APPROVAL.PRODUCT_ID, "products", "the product"))
        .with(of("code", PRODUCT_APPROVAL.CODE, text(Lengths.SHORT), "the maker's code"))
        .with(of("listed", PRODUCT_APPROVAL.LISTED, yesNo(), "false: only said to be suitable"))
        .unique("product_id", "code")
        .build();
  }

  private static ExchangeTable climateMonths() {
    return ExchangeTable.named("climate_months", CLIMATE_MONTH)
        .with(of("id", CLIMATE_MONTH.ID, whole(1, 12), "the month"))
        .with(of("lowest_c", CLIMATE_MONTH.LOWEST_TENTHS, celsius(), "lowest ambient"))
        .with(of("highest_c", CLIMATE_MONTH.HIGHEST_TENTHS, celsius(), "highest ambient"))
        .rule(notBelow("lowest_c", "highest_c"))
        .build();
  }

  private static Format<Long> celsius() {
    return scaled(1, -10L * Limits.CELSIUS, 10L * Limits.CELSIUS);
  }

  /** That the upper end, where both are there, is not below the lower one. */
  private static RowRule notBelow(String lower, String upper) {
    return new RowRule(
        upper,
        "not below " + lower,
        row ->
            row.get(lower).isEmpty()
                || row.get(upper).isEmpty()
                || new BigDecimal(row.get(upper)).compareTo(new BigDecimal(row.get(lower))) >= 0);
  }

  private static ExchangeTable referenceChanges() {
    return ExchangeTable.named("reference_changes", REFERENCE_CHANGE)
        .with(number("id", REFERENCE_CHANGE.ID, "number of the row, in order of entry"))
        .with(
            of(
                "file",
                REFERENCE_CHANGE.FILE,
                symbol(
                    Arrays.stream(ReferenceFile.values())
                        .map(ReferenceFile::fileName)
                        .toArray(String[]::new)),
                "which reference data"))
        .with(
            of(
                "row_key",
                REFERENCE_CHANGE.ROW_KEY,
                text(Lengths.REASON),
                "which row, | between its keys"))
        .with(
            of("content", REFERENCE_CHANGE.CONTENT, text(1000), "its cells, | between them")
                .optional())
        .with(of("actor", REFERENCE_CHANGE.ACTOR, text(Lengths.NAME), "who changed it"))
        .with(of("recorded_at", REFERENCE_CHANGE.RECORDED_AT, instant(), "when"))
        .rule(
            new RowRule(
                "content",
                "a cell for each column of the reference data, each as its column allows",
                FluidTables::hasItsCells))
        .build();
  }

  private static boolean hasItsCells(Map<String, String> row) {
    List<String> cells = List.of(row.get("content").split("\\|", -1));
    return row.get("content").isEmpty()
        || ReferenceFile.named(row.get("file"))
            .filter(file -> file.columns().size() == cells.size())
            .filter(
                file -> {
                  for (int i = 0; i < cells.size(); i++) {
                    if (!file.columns().get(i).allows(cells.get(i))) {
                      return false;
                    }
                  }
                  return true;
                })
            .isPresent();
  }

  private static ExchangeTable specGrades() {
    return ExchangeTable.named("spec_grades", SPEC_GRADE)
        .with(number("id", SPEC_GRADE.ID, "number of the row"))
        .with(reference("compartment_id", SPEC_GRADE.COMPARTMENT_ID, "compartments", "whose chart"))
        .with(of("grade", SPEC_GRADE.GRADE, text(Lengths.GRADE), "grade"))
        .with(of("lowest_c", SPEC_GRADE.LOWEST_TENTHS, celsius(), "from ambient").optional())
        .with(of("highest_c", SPEC_GRADE.HIGHEST_TENTHS, celsius(), "to ambient").optional())
        .rule(notBelow("lowest_c", "highest_c"))
        .build();
  }

  private static ExchangeTable specClasses() {
    return ExchangeTable.named("spec_classes", SPEC_CLASS)
        .with(number("id", SPEC_CLASS.ID, "number of the row"))
        .with(reference("compartment_id", SPEC_CLASS.COMPARTMENT_ID, "compartments", "whose spec"))
        .with(of("group", SPEC_CLASS.GROUP_NO, whole(1, Limits.GROUPS), "any group will do, whole"))
        .with(
            of("organisation", SPEC_CLASS.ORGANISATION, text(Lengths.GRADE), "of the class")
                .orEmptyText())
        .with(of("name", SPEC_CLASS.NAME, text(Lengths.GRADE), "of the class"))
        .unique("compartment_id", "group", "organisation", "name")
        .build();
  }

  private static ExchangeTable specApprovals() {
    return ExchangeTable.named("spec_approvals", SPEC_APPROVAL)
        .with(number("id", SPEC_APPROVAL.ID, "number of the row"))
        .with(
            reference("compartment_id", SPEC_APPROVAL.COMPARTMENT_ID, "compartments", "whose spec"))
        .with(of("code", SPEC_APPROVAL.CODE, text(Lengths.SHORT), "the maker's code"))
        .unique("compartment_id", "code")
        .build();
  }

  static ExchangeTable signOffs() {
    return ExchangeTable.named("sign_offs", SIGN_OFF)
        .with(number("id", SIGN_OFF.ID, "number of the row, in order of entry"))
        .with(reference("unit_id", SIGN_OFF.UNIT_ID, "units", "the unit"))
        .with(reference("compartment_id", SIGN_OFF.COMPARTMENT_ID, "compartments", "its place"))
        .with(reference("item_id", SIGN_OFF.ITEM_ID, "items", "what was signed for"))
        .with(reference("tray_id", SIGN_OFF.TRAY_ID, "trays", "the tray").optional())
        .with(of("verdict", SIGN_OFF.VERDICT, text(500), "what the rules said"))
        .with(of("signed_by", SIGN_OFF.SIGNED_BY, text(Lengths.NAME), "who answers for it"))
        .with(of("why", SIGN_OFF.WHY, text(Lengths.REASON), "why"))
        .with(of("actor", SIGN_OFF.ACTOR, text(Lengths.NAME), "who entered it"))
        .with(of("recorded_at", SIGN_OFF.RECORDED_AT, instant(), "when"))
        .build();
  }

  private static ExchangeTable topUps() {
    return ExchangeTable.named("top_ups", TOP_UP)
        .with(number("id", TOP_UP.ID, "number of the row, in order of entry"))
        .with(reference("unit_id", TOP_UP.UNIT_ID, "units", "the unit"))
        .with(reference("compartment_id", TOP_UP.COMPARTMENT_ID, "compartments", "its place"))
        .with(reference("item_id", TOP_UP.ITEM_ID, "items", "what was added"))
        .with(of("volume_l", TOP_UP.VOLUME_UL, scaled(6, 1, LITRES_UL), "litres added"))
        .with(of("added_on", TOP_UP.ADDED_ON, date(), "day"))
        .with(reference("sign_off_id", TOP_UP.SIGN_OFF_ID, "sign_offs", "who signed").optional())
        .with(reference("tray_id", TOP_UP.TRAY_ID, "trays", "the tray it went out with").optional())
        .with(reference("withdraws", TOP_UP.WITHDRAWS, "top_ups", "a wrong line").optional())
        .with(of("note", TOP_UP.NOTE, text(Lengths.REASON), "in words").orEmptyText())
        .with(of("actor", TOP_UP.ACTOR, text(Lengths.NAME), "who noted it"))
        .with(of("recorded_at", TOP_UP.RECORDED_AT, instant(), "when"))
        .unique("withdraws")
        .build();
  }

  private static ExchangeTable studies() {
    return ExchangeTable.named("studies", STUDY)
        .with(number("id", STUDY.ID, "number of the row"))
        .with(of("title", STUDY.TITLE, text(Lengths.NAME), "what it is called"))
        .with(of("made_on", STUDY.MADE_ON, date(), "day"))
        .with(
            of(
                "allowed",
                STUDY.ALLOWED,
                oneOf(List.of("LISTED", "MEETS", "SEASONAL", "SIGN_OFF")),
                "the lowest verdict that counted"))
        .with(
            of(
                "holding_minor",
                STUDY.HOLDING_MINOR,
                whole(0, Limits.HOLDING_MINOR),
                "a product a year"))
        .with(
            of(
                "cost_minor",
                STUDY.COST_MINOR,
                whole(-BOOKED_MINOR, BOOKED_MINOR),
                "of the proposal a year"))
        .with(
            of(
                "cost_today_minor",
                STUDY.COST_TODAY_MINOR,
                whole(-BOOKED_MINOR, BOOKED_MINOR),
                "of today's a year"))
        .with(of("actor", STUDY.ACTOR, text(Lengths.NAME), "who made it"))
        .with(of("recorded_at", STUDY.RECORDED_AT, instant(), "when"))
        .build();
  }

  private static ExchangeTable studyProducts() {
    return ExchangeTable.named("study_products", STUDY_PRODUCT)
        .with(number("id", STUDY_PRODUCT.ID, "number of the row"))
        .with(reference("study_id", STUDY_PRODUCT.STUDY_ID, "studies", "the study"))
        .with(reference("product_id", STUDY_PRODUCT.PRODUCT_ID, "products", "the product"))
        .with(
            of(
                "part",
                STUDY_PRODUCT.PART,
                oneOf(List.of("FORBIDDEN", "KEPT", "CHOSEN")),
                "its part in the study"))
        .unique("study_id", "product_id", "part")
        .build();
  }

  private static ExchangeTable studyLines() {
    return ExchangeTable.named("study_lines", STUDY_LINE)
        .with(number("id", STUDY_LINE.ID, "number of the row"))
        .with(reference("study_id", STUDY_LINE.STUDY_ID, "studies", "the study"))
        .with(reference("compartment_id", STUDY_LINE.COMPARTMENT_ID, "compartments", "the spec"))
        .with(
            of(
                "litres_per_year",
                STUDY_LINE.LITRES_UL,
                scaled(6, 0, QUANTITY_MICRO),
                "litres a year"))
        .with(reference("today_id", STUDY_LINE.TODAY_ID, "products", "serves it today").optional())
        .with(
            reference("proposed_id", STUDY_LINE.PROPOSED_ID, "products", "would serve it")
                .optional())
        .unique("study_id", "compartment_id", "today_id")
        .build();
  }

  private static ExchangeTable studyForces() {
    return ExchangeTable.named("study_forces", STUDY_FORCE)
        .with(number("id", STUDY_FORCE.ID, "number of the row"))
        .with(reference("study_id", STUDY_FORCE.STUDY_ID, "studies", "the study"))
        .with(reference("unit_id", STUDY_FORCE.UNIT_ID, "units", "the unit that alone"))
        .with(reference("product_id", STUDY_FORCE.PRODUCT_ID, "products", "forces the product"))
        .unique("study_id", "unit_id", "product_id")
        .build();
  }

  private static ExchangeTable changeOvers() {
    return ExchangeTable.named("change_overs", CHANGE_OVER)
        .with(number("id", CHANGE_OVER.ID, "number of the row"))
        .with(reference("compartment_id", CHANGE_OVER.COMPARTMENT_ID, "compartments", "which"))
        .with(reference("item_id", CHANGE_OVER.ITEM_ID, "items", "what it takes then"))
        .with(of("from_on", CHANGE_OVER.FROM_ON, date(), "from which day"))
        .with(reference("study_id", CHANGE_OVER.STUDY_ID, "studies", "the study behind it"))
        .unique("compartment_id")
        .build();
  }
}
