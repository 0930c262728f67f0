package dev.lonja.desk.policy;

import dev.lonja.core.policy.Holder;

/**
 * What somebody who may have a choice of its own is called.
 *
 * @param name of the class, the machine or the variant; empty for the store
 * @param part the compartment or position, or the machine's long name; may be empty
 */
public record HolderName(Holder holder, String name, String part) {}
