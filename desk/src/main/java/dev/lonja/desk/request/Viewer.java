package dev.lonja.desk.request;

import java.util.Optional;
import java.util.Set;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;

/** Who looks, where a page that several roles see shows more to some of them. */
public final class Viewer {

  private static final Set<String> SEE_MONEY =
      Set.of("ROLE_STOREKEEPER", "ROLE_BUYER", "ROLE_AUDITOR", "ROLE_ADMINISTRATOR");

  private Viewer() {}

  /** True for who sees stock, plans and books: everyone with a role beside the workshop's. */
  public static boolean seesStore() {
    return seesMoney();
  }

  /** The name that they signed in with; empty if nobody has. */
  public static String name() {
    return Optional.ofNullable(SecurityContextHolder.getContext().getAuthentication())
        .map(Authentication::getName)
        .orElse("");
  }

  /** Prices, costs and what stock is worth: everyone who sees the store; nobody without a role. */
  public static boolean seesMoney() {
    Optional<Authentication> person =
        Optional.ofNullable(SecurityContextHolder.getContext().getAuthentication());
    return person.stream()
        .flatMap(p -> p.getAuthorities().stream())
        .map(GrantedAuthority::getAuthority)
        .anyMatch(SEE_MONEY::contains);
  }
}
