package dev.lonja.store.audit;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Who did what to what, when and from where.
 *
 * @param actor the name of a person, "operator" at the command line, or empty for a stranger
 * @param origin the address that the request came from; empty for what the server does by itself
 * @param subject which of its matter: a number, or a name where there is none
 * @param before how it was; empty for what is new
 * @param after how it is; empty for what is gone
 */
public record AuditLine(
    Instant at,
    String actor,
    String origin,
    Matter matter,
    String subject,
    Deed deed,
    Facts before,
    Facts after) {

  /** The longest name, address or subject that is kept; what is longer is cut. */
  public static final int LONGEST = 60;

  private static final JsonMapper JSON = JsonMapper.builder().build();

  public AuditLine {
    actor = cut(actor);
    origin = cut(origin);
    subject = cut(subject);
  }

  /** As one JSON object on one line: times by ISO 8601, names as the exchange format has them. */
  public String json() {
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("recorded_at", at.toString());
    fields.put("actor", actor);
    fields.put("origin", origin);
    fields.put("matter", matter.name().toLowerCase(Locale.ROOT));
    fields.put("subject", subject);
    fields.put("deed", deed.name().toLowerCase(Locale.ROOT));
    fields.put("before", before.byField());
    fields.put("after", after.byField());
    return JSON.writeValueAsString(fields);
  }

  /** Reads what {@link #json} wrote. */
  public static AuditLine ofJson(String json) {
    JsonNode fields = JSON.readTree(json);
    return new AuditLine(
        Instant.parse(fields.get("recorded_at").asString()),
        fields.get("actor").asString(),
        fields.get("origin").asString(),
        Matter.valueOf(fields.get("matter").asString().toUpperCase(Locale.ROOT)),
        fields.get("subject").asString(),
        Deed.valueOf(fields.get("deed").asString().toUpperCase(Locale.ROOT)),
        Facts.ofJson(fields.get("before").toString()),
        Facts.ofJson(fields.get("after").toString()));
  }

  private static String cut(String text) {
    return text.length() > LONGEST ? text.substring(0, LONGEST) : text;
  }
}
