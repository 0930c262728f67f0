package dev.lonja.desk.person;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.security.access.prepost.PreAuthorize;

/**
 * Who may call a desk's method. The check sits here, not in the menu, and what carries no grant
 * does not start up ({@link GrantCheck}). Reading is granted as deliberately as writing.
 */
public final class Allowed {

  private Allowed() {}

  /** Lays, hands over, books, edits what the store keeps: the storekeeper's work. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAnyRole('STOREKEEPER', 'ADMINISTRATOR')")
  public @interface ToKeepStore {}

  /** Orders, and takes in at the door what was ordered: the buyer and the store. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAnyRole('BUYER', 'STOREKEEPER', 'ADMINISTRATOR')")
  public @interface ToBuy {}

  /** Reads a meter: the storekeeper and the workshop. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAnyRole('STOREKEEPER', 'ADMINISTRATOR', 'WORKSHOP')")
  public @interface ToReadMeters {}

  /**
   * Says what was found wrong with a machine and asks for parts: who works on it, and the store.
   */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAnyRole('STOREKEEPER', 'ADMINISTRATOR', 'WORKSHOP')")
  public @interface ToAskForParts {}

  /** Sees stock, plans, prices and books: everyone but the workshop. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAnyRole('STOREKEEPER', 'BUYER', 'AUDITOR', 'ADMINISTRATOR')")
  public @interface ToSeeStore {}

  /** Sees machines, what they take and what a number is, without money: everyone with a role. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAnyRole('STOREKEEPER', 'BUYER', 'AUDITOR', 'ADMINISTRATOR', 'WORKSHOP')")
  public @interface ToSeeMachines {}

  /** Says who may do what, and keeps the backups. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasRole('ADMINISTRATOR')")
  public @interface ToAdminister {}

  /** Sees who did what. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAnyRole('AUDITOR', 'ADMINISTRATOR')")
  public @interface ToAudit {}

  /** Looks after their own password and sessions: everyone who is signed in. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAnyRole('STOREKEEPER', 'BUYER', 'AUDITOR', 'ADMINISTRATOR', 'WORKSHOP')")
  public @interface ToBeOneself {}

  /** Stands at the door: everyone, before they sign in. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("permitAll()")
  public @interface ToEveryone {}
}
