package dev.lonja.desk.person;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.security.access.prepost.PreAuthorize;

/** Who may call a desk's method. The check sits here, not in the menu. */
public final class Allowed {

  private Allowed() {}

  /** Lays, hands over, books: the storekeeper's work. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAnyRole('STOREKEEPER', 'ADMINISTRATOR')")
  public @interface ToKeepStore {}

  /** Reads a meter: the storekeeper and the workshop. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAnyRole('STOREKEEPER', 'ADMINISTRATOR', 'WORKSHOP')")
  public @interface ToReadMeters {}

  /** Sees stock, plans and books: everyone but the workshop. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAnyRole('STOREKEEPER', 'BUYER', 'AUDITOR', 'ADMINISTRATOR')")
  public @interface ToSeeStore {}
}
