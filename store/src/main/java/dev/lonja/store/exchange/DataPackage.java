package dev.lonja.store.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The description that goes with the files: a Frictionless Data Package with Table Schemas. */
final class DataPackage {

  static final String FILE = "datapackage.json";

  private DataPackage() {}

  static String json() {
    List<Object> resources = new ArrayList<>();
    for (ExchangeTable table : ExchangeTables.ALL) {
      Map<String, Object> resource = new LinkedHashMap<>();
      resource.put("name", table.name().replace('_', '-'));
      resource.put("path", table.file());
      resource.put("profile", "tabular-data-resource");
      resource.put("format", "csv");
      resource.put("mediatype", "text/csv");
      resource.put("encoding", "utf-8");
      resource.put("schema", schema(table));
      resources.add(resource);
    }
    Map<String, Object> root = new LinkedHashMap<>();
    root.put("profile", "tabular-data-package");
    root.put("name", "lonja-store");
    root.put("title", "A Lonja store");
    root.put("resources", resources);
    return JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build()
            .writeValueAsString(root)
            .replace("\r\n", "\n")
        + "\n";
  }

  private static Map<String, Object> schema(ExchangeTable table) {
    List<Object> fields = new ArrayList<>();
    List<Object> foreignKeys = new ArrayList<>();
    for (Column<?> column : table.columns()) {
      Map<String, Object> field = new LinkedHashMap<>();
      field.put("name", column.name());
      field.put("type", column.format().type());
      field.put("description", column.meaning() + "; " + column.allowed());
      field.put("constraints", Map.of("required", column.required()));
      fields.add(field);
      column
          .references()
          .ifPresent(other -> foreignKeys.add(foreignKey(table, column.name(), other)));
    }
    Map<String, Object> schema = new LinkedHashMap<>();
    schema.put("fields", fields);
    schema.put("missingValues", List.of(""));
    schema.put("primaryKey", table.key());
    if (!foreignKeys.isEmpty()) {
      schema.put("foreignKeys", foreignKeys);
    }
    return schema;
  }

  private static Map<String, Object> foreignKey(ExchangeTable table, String column, String other) {
    Map<String, Object> target = new LinkedHashMap<>();
    // the Table Schema standard writes "" for a table that refers to itself
    target.put("resource", other.equals(table.name()) ? "" : other.replace('_', '-'));
    target.put("fields", other.equals("requests") ? "request_key" : "id");
    Map<String, Object> key = new LinkedHashMap<>();
    key.put("fields", column);
    key.put("reference", target);
    return key;
  }
}
