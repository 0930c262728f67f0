package dev.lonja.desk.request;

/**
 * Why something was not done, as a value: each desk has its own kinds, a sealed set with what was
 * asked and what is allowed. Words for people are found on the way out.
 */
public interface Refusal {}
