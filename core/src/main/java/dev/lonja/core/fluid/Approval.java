package dev.lonja.core.fluid;

/**
 * What a product says of a machine maker's approval.
 *
 * @param listed true if the maker lists the product; false if the label only says "suitable for"
 */
public record Approval(ApprovalCode code, boolean listed) {}
