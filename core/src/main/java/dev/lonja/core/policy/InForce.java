package dev.lonja.core.policy;

/**
 * A choice that is in force somewhere.
 *
 * @param level how wide the holder is that made it
 */
public record InForce(Choice choice, Holder.Level level) {

  public School school() {
    return choice.school();
  }

  /** True for this school. */
  public boolean is(School school) {
    return choice.school() == school;
  }
}
