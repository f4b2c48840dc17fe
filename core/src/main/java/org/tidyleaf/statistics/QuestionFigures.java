package org.tidyleaf.statistics;

import java.util.List;
import java.util.Optional;

/**
 * Figures of one question.
 *
 * @param facility mean share of its points that were earned, 0 to 1
 * @param discrimination correlation of its points with those of all other questions together, -1 to 1; empty where either
 *     does not vary
 * @param omitted how many left it empty
 * @param options for each option who chose it; empty where it has none
 */
public record QuestionFigures(
        double facility, Optional<Double> discrimination, int omitted, List<OptionFigures> options) {
    public QuestionFigures {
        options = List.copyOf(options);
    }

    /**
     * How often an option was chosen.
     *
     * @param strong by how many of the third with the most points in all, {@code weak} with the least
     */
    public record OptionFigures(int chosen, int strong, int weak) {}
}
