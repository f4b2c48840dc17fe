package org.tidyleaf.question;

/** A passage: text and figures shared by several questions. */
public record Stimulus(Prose text) {}
