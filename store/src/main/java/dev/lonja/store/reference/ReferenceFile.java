package dev.lonja.store.reference;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A file of public reference data that ships, with the standard that it reminds of. */
public enum ReferenceFile {
  ENGINE_COLD(
      "Engine oils: cold limits",
      "SAE J300",
      List.of(
          ReferenceColumn.key("grade", "W grade"),
          ReferenceColumn.number("cranking_most_mpas", "cranking ≤ mPa·s"),
          ReferenceColumn.temperature("cranking_at_c", "at °C"),
          ReferenceColumn.temperature("pumping_at_c", "pumping ≤ 60,000 mPa·s at °C"),
          ReferenceColumn.number("kv100_least_mm2s", "KV100 ≥ mm²/s"))),
  ENGINE_HOT(
      "Engine oils: grades when hot",
      "SAE J300",
      List.of(
          ReferenceColumn.key("grade", "Grade"),
          ReferenceColumn.number("kv100_from_mm2s", "KV100 from mm²/s"),
          ReferenceColumn.number("kv100_below_mm2s", "below"),
          ReferenceColumn.number("hths_least_mpas", "HTHS at 150 °C ≥ mPa·s"),
          ReferenceColumn.note())),
  GEAR_COLD(
      "Gear oils: cold limits",
      "SAE J306",
      List.of(
          ReferenceColumn.key("grade", "W grade"),
          ReferenceColumn.temperature("at_150000_mpas_c", "150,000 mPa·s at °C"))),
  GEAR_HOT(
      "Gear oils: grades when hot",
      "SAE J306",
      List.of(
          ReferenceColumn.key("grade", "Grade"),
          ReferenceColumn.number("kv100_from_mm2s", "KV100 from mm²/s"),
          ReferenceColumn.number("kv100_below_mm2s", "below"))),
  HYDRAULIC_GRADES(
      "Hydraulic and industrial oils",
      "ISO 3448",
      List.of(
          ReferenceColumn.key("grade", "VG"),
          ReferenceColumn.number("kv40_mm2s", "mm²/s at 40 °C, ± 10 %"))),
  HYDRAULIC_TYPES(
      "Types of hydraulic fluid",
      "ISO 6743-4",
      List.of(ReferenceColumn.key("type", "Type"), ReferenceColumn.note())),
  CONSISTENCIES(
      "Consistencies of greases",
      "DIN 51818",
      List.of(ReferenceColumn.key("grade", "NLGI number"))),
  SERVICE_CLASSES(
      "Service classes",
      "API, ILSAC, ACEA, JASO, DOT and ISO",
      List.of(
          ReferenceColumn.keyOrNothing("organisation", "Organisation"),
          ReferenceColumn.key("name", "Class"),
          ReferenceColumn.yesNo(
              "organisation_needed", "Counts only with the organisation's name"))),
  CLASS_COVERS(
      "Which class covers which",
      "API, ILSAC, ACEA, JASO and DOT",
      List.of(ReferenceColumn.key("newer", "The newer"), ReferenceColumn.key("older", "covers"))),
  COOLANT_FAMILIES(
      "Coolant families",
      "by chemistry",
      List.of(ReferenceColumn.key("family", "Family"), ReferenceColumn.note())),
  FREEZE_POINTS(
      "Freeze points of mixtures",
      "by volume, rounded; the product's own label decides",
      List.of(
          ReferenceColumn.key("glycol", "Glycol"),
          ReferenceColumn.numericKey("share", "Share of concentrate"),
          ReferenceColumn.temperature("freezes_at_c", "freezes at °C"))),
  BRAKE_FLUIDS(
      "Brake fluids",
      "DOT and ISO 4925",
      List.of(
          ReferenceColumn.key("class", "Class"),
          ReferenceColumn.text("base", "Base"),
          ReferenceColumn.note())),
  SEALING_WASHERS(
      "Sealing washers",
      "DIN 7603",
      List.of(
          ReferenceColumn.numericKey("inner_mm", "ID mm"),
          ReferenceColumn.numericKey("outer_mm", "OD mm"),
          ReferenceColumn.number("form_a_mm", "form A, flat, mm"),
          ReferenceColumn.number("form_c_mm", "form C, filled, mm"))),
  O_RING_SECTIONS(
      "O-ring cross-sections",
      "ISO 3601-1 and metric",
      List.of(
          ReferenceColumn.numericKey("section_mm", "mm"),
          ReferenceColumn.text("series", "Series"))),
  UNIT_FACTORS(
      "Unit factors",
      "exact by definition",
      List.of(ReferenceColumn.key("unit", "1"), ReferenceColumn.text("is", "is"))),
  HAZARDS(
      "Hazard texts",
      "GHS, as examples; the product's data sheet decides",
      List.of(
          ReferenceColumn.key("code", "Code"),
          ReferenceColumn.text("title", "Title"),
          ReferenceColumn.text("text", "Text")));

  private final String title;
  private final String standard;
  private final List<ReferenceColumn> columns;

  ReferenceFile(String title, String standard, List<ReferenceColumn> columns) {
    this.title = title;
    this.standard = standard;
    this.columns = columns;
  }

  public String title() {
    return title;
  }

  public String standard() {
    return standard;
  }

  public List<ReferenceColumn> columns() {
    return columns;
  }

  /** As it stands in addresses and in the exchange format. */
  public String fileName() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What is exact by definition is shown and not edited. */
  public boolean isEditable() {
    return this != UNIT_FACTORS;
  }

  public static Optional<ReferenceFile> named(String fileName) {
    return Arrays.stream(values()).filter(file -> file.fileName().equals(fileName)).findFirst();
  }
}
