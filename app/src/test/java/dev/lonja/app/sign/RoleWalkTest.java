package dev.lonja.app.sign;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.lang.reflect.RecordComponent;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every route with every role: what is not for a role answers 403, wherever it is asked. */
class RoleWalkTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  /** Pages that lead in or are read without signing in, and the server's own. */
  private static final Set<String> OPEN_TO_ALL =
      Set.of(
          "/sign-in",
          "/sign-in/over",
          "/first-start",
          "/new-password",
          "/feeds/{secret}.ics",
          "/error");

  /** What each does about themselves; what is sent there would end the walker's session. */
  private static final Set<String> ABOUT_ONESELF =
      Set.of(
          "/me",
          "/me/password",
          "/me/sessions",
          "/me/sessions/end",
          "/sign-in/again",
          "/aisle",
          "/aisle.js");

  /** What only an administrator may open. */
  private static final Set<String> FOR_ADMINISTRATORS =
      Set.of(
          "/setup/people",
          "/setup/people/{id}",
          "/setup/backups",
          "/setup/backups/{name}",
          "/setup/store");

  /** What an auditor may open beside. */
  private static final Set<String> FOR_AUDITORS = Set.of("/setup/audit", "/setup/audit.jsonl");

  /** What the workshop may open: machines and their meters, numbers, its own trays. */
  private static final Set<String> FOR_THE_WORKSHOP =
      Set.of(
          "/",
          "/find",
          "/find/compare",
          "/find/compare.pdf",
          "/find/measure",
          "/fleet",
          "/fleet/burst",
          "/fleet/due",
          "/fleet/meters",
          "/fleet/{code}",
          "/fleet/{code}/burst",
          "/fleet/{code}/fits/{positionId}",
          "/fleet/{code}/meters",
          "/fleet/{code}/move",
          "/fleet/{code}/sheet.pdf",
          "/fleet/{code}/values/{task}",
          "/items/{id}",
          "/items/{id}/picture",
          "/oils/products/{id}/sheets",
          "/oils/products/{id}/sheets/{sheet}.pdf",
          "/parts/{id}",
          "/parts/{id}/map",
          "/trays",
          "/trays/{id}",
          "/trays/{id}/card",
          "/trays/{id}/card-a5.pdf",
          "/trays/{id}/card.pdf",
          "/wanted");

  private record Route(String path, HandlerMethod handler) {}

  private static List<Route> routes(RequestMethod method) {
    return SERVER.bean(RequestMappingHandlerMapping.class).getHandlerMethods().entrySet().stream()
        .filter(entry -> entry.getKey().getMethodsCondition().getMethods().contains(method))
        .flatMap(entry -> paths(entry.getKey()).map(path -> new Route(path, entry.getValue())))
        .filter(route -> !OPEN_TO_ALL.contains(route.path()))
        .filter(route -> !ABOUT_ONESELF.contains(route.path()))
        .toList();
  }

  private static java.util.stream.Stream<String> paths(RequestMappingInfo info) {
    return info.getPatternValues().stream()
        .map(path -> path.replaceAll(":(?:[^{}]|\\{[^}]*})+(?=})", ""));
  }

  /** Something that is there for each variable of a path. */
  private static String filled(String path) {
    return path.replace("{code}", "RT-04")
        .replace("{unit}", "RT-04")
        .replace("{year}", "2027")
        .replace("{position}", "1")
        .replace("/offers/{what}", "/offers/bin")
        .replace("/backups/{name}", "/backups/none")
        .replace("{name}", "service_classes")
        .replace("{kind}", "position")
        .replace("/kit/{what}", "/kit/break")
        .replace("{what}", "lay")
        .replace("{action}", "retire")
        .replace("{address}", "drain-seal")
        .replaceAll("\\{[a-zA-Z]+}", "1");
  }

  @Test
  void theWorkshopOpensWhatItsWorkNeeds() {
    Visitor workshop = SERVER.signedInAs("workshop");
    Set<String> opened = new TreeSet<>();
    for (Route route : routes(RequestMethod.GET)) {
      int status = workshop.get(filled(route.path()) + "?asked=1&offered=2&unit=RT-04").status();
      if (status != 403) {
        opened.add(route.path());
      }
      assertThat(status).as(route.path()).isLessThan(500);
    }
    assertThat(opened).isEqualTo(new TreeSet<>(FOR_THE_WORKSHOP));
  }

  private static Set<String> refused(Visitor visitor, Predicate<String> asked) {
    return routes(RequestMethod.GET).stream()
        .map(Route::path)
        .filter(asked)
        .filter(path -> visitor.get(filled(path)).status() == 403)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  @Test
  void onlyAdministratorsSeePeopleAndOnlyAuditorsBesideThemTheAudit() {
    Set<String> forFew = FOR_ADMINISTRATORS;
    assertThat(refused(SERVER.signedInAs("auditor"), forFew::contains)).isEqualTo(forFew);
    Set<String> all = new TreeSet<>(forFew);
    all.addAll(FOR_AUDITORS);
    assertThat(refused(SERVER.signedInAs("storekeeper"), all::contains)).isEqualTo(all);
    assertThat(refused(SERVER.signedInAs("buyer"), all::contains)).isEqualTo(all);
    assertThat(refused(SERVER.signedInAs("administrator"), all::contains)).isEmpty();
  }

  /**
   * The tests of the pages open all that they open as these two; here it is every route there is.
   */
  @Test
  @Tag("long")
  void nothingElseIsRefusedToThem() {
    Set<String> all = new TreeSet<>(FOR_ADMINISTRATORS);
    all.addAll(FOR_AUDITORS);
    assertThat(refused(SERVER.signedInAs("storekeeper"), route -> true)).isEqualTo(all);
    assertThat(refused(SERVER.signedInAs("administrator"), route -> true)).isEmpty();
  }

  @Test
  void whoReadsTheStoreChangesNothing() {
    assertThat(notForbidden(SERVER.signedInAs("auditor"))).isEmpty();
    assertThat(SERVER.isSound()).isTrue();
  }

  /** A buyer does all that is ordering, up to the door, and nothing of the counter. */
  @Test
  void theBuyerOrders() {
    assertThat(notForbidden(SERVER.signedInAs("buyer")))
        .containsExactlyInAnyOrder(
            "/buy",
            "/buy/orders/answers",
            "/buy/orders/claims/{claim}",
            "/buy/orders/{id}/cancel",
            "/buy/orders/{id}/drop",
            "/buy/orders/{id}/invoices",
            "/buy/orders/{id}/invoices/{invoice}/withdraw",
            "/buy/orders/{id}/lines",
            "/buy/orders/{id}/lines/{line}",
            "/buy/orders/{id}/lines/{line}/amount",
            "/buy/orders/{id}/lines/{line}/give-up",
            "/buy/orders/{id}/lines/{line}/promise",
            "/buy/orders/{id}/note",
            "/buy/orders/{id}/send",
            "/buy/replay",
            "/buy/replay/cancel",
            "/setup/suppliers/{id}");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** The routes that change something and do not turn this person away. */
  private static Set<String> notForbidden(Visitor visitor) {
    String token = token(visitor);
    Set<String> open = new TreeSet<>();
    for (Route route : routes(RequestMethod.POST)) {
      if (!takesAFile(route)
          && visitor.post(filled(route.path()), fields(route, token)).status() != 403) {
        open.add(route.path());
      }
    }
    return open;
  }

  @Test
  void theWorkshopNotesMetersAndFindingsAndAsksForParts() {
    Set<String> may = notForbidden(SERVER.signedInAs("workshop"));
    assertThat(may)
        .containsExactlyInAnyOrder(
            "/fleet/meters",
            "/fleet/meters/feed",
            "/fleet/meters/paste",
            "/fleet/{code}/readings",
            "/wanted",
            "/wanted/findings");
    assertThat(SERVER.isSound()).isTrue();
  }

  private static String token(Visitor visitor) {
    return visitor.get("/fleet").form("/sign-out").select("[name=_csrf]").attr("value");
  }

  private static boolean takesAFile(Route route) {
    return java.util.Arrays.stream(route.handler().getMethodParameters())
        .anyMatch(parameter -> parameter.getParameterType() == MultipartFile.class);
  }

  private static String value(String name, Class<?> type) {
    if (type == boolean.class) {
      return "true";
    }
    return name.equals("day") ? "2027-03-15" : "1";
  }

  /** What the route asks for, so that only its grant can be in the way. */
  private static Map<String, String> fields(Route route, String token) {
    Map<String, String> fields = new HashMap<>();
    fields.put("_csrf", token);
    fields.put("requestKey", "role-walk-" + Math.abs(route.path().hashCode()));
    for (MethodParameter parameter : route.handler().getMethodParameters()) {
      fields.putAll(form(parameter));
      RequestParam asked = parameter.getParameterAnnotation(RequestParam.class);
      if (asked != null && parameter.getParameterType() != Map.class) {
        parameter.initParameterNameDiscovery(
            new org.springframework.core.DefaultParameterNameDiscoverer());
        String name = asked.name().isEmpty() ? parameter.getParameterName() : asked.name();
        fields.put(name, value(name, parameter.getParameterType()));
      }
    }
    return fields;
  }

  /** The fields of a whole form that a route takes. */
  private static Map<String, String> form(MethodParameter parameter) {
    Map<String, String> fields = new HashMap<>();
    if (parameter.hasParameterAnnotation(ModelAttribute.class)) {
      for (RecordComponent field : parameter.getParameterType().getRecordComponents()) {
        fields.put(field.getName(), value(field.getName(), field.getType()));
      }
    }
    return fields;
  }
}
