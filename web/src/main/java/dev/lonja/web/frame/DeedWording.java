package dev.lonja.web.frame;

import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Says in words what a line of the audit keeps. */
public final class DeedWording {

  private static final Map<String, String> ENDINGS =
      Map.of("_l", ", L", "_nm", ", Nm", "_c", ", °C", "_id", " no.", "_on", " on");

  private static final Pattern INSTANT = Pattern.compile("[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9:]{8}Z");

  private DeedWording() {}

  public static String of(Deed deed) {
    return switch (deed) {
      case SIGN_IN_FAILED -> "sign-in failed";
      case KEPT_AGAIN -> "kept again";
      case LAID_UP -> "laid up";
      case FOLLOWS_VARIANT -> "follows its variant again";
      case DEVIATES -> "differs from its variant";
      case PIN_SET -> "PIN set";
      case CODE_GIVEN -> "code for a new password given";
      case BACK_UP_FAILED -> "backup failed";
      case CLOCK_JUMPED -> "the clock jumped";
      default -> plain(deed.name());
    };
  }

  public static String of(Matter matter) {
    return matter == Matter.UNIT_CLASS ? "class" : plain(matter.name());
  }

  /** What was and is: "name: Quay truck → Pier truck; class: RT". */
  public static String facts(AuditLine line) {
    Set<String> fields = new LinkedHashSet<>(line.before().byField().keySet());
    fields.addAll(line.after().byField().keySet());
    return fields.stream()
        .map(field -> fact(field, line.before(), line.after()))
        .collect(Collectors.joining("; "));
  }

  private static String fact(String field, Facts before, Facts after) {
    Optional<String> was = Optional.ofNullable(before.byField().get(field)).map(DeedWording::value);
    Optional<String> is = Optional.ofNullable(after.byField().get(field)).map(DeedWording::value);
    String change = was.map(w -> w + " → " + is.orElse("–")).orElseGet(() -> is.orElse(""));
    return name(field) + ": " + change;
  }

  private static String name(String field) {
    String words = field;
    for (Map.Entry<String, String> ending : ENDINGS.entrySet()) {
      if (field.endsWith(ending.getKey())) {
        words = field.substring(0, field.length() - ending.getKey().length()) + ending.getValue();
      }
    }
    return words
        .replaceAll("([a-z])([A-Z])", "$1 $2")
        .replace('_', ' ')
        .toLowerCase(Locale.ROOT)
        .replace(", l", ", L")
        .replace(", nm", ", Nm")
        .replace(", °c", ", °C");
  }

  private static String value(String value) {
    if (INSTANT.matcher(value).matches()) {
      return value.replace('T', ' ').replace("Z", " UTC");
    }
    boolean constant = value.contains("_") && value.equals(value.toUpperCase(Locale.ROOT));
    return switch (value) {
      case "true" -> "yes";
      case "false" -> "no";
      default -> constant ? plain(value) : value.replace("\n", " or ");
    };
  }

  private static String plain(String name) {
    return name.replace('_', ' ').toLowerCase(Locale.ROOT);
  }
}
