package org.tidyleaf.reading.cut;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Tools / easy / 1 pt" below question after question: topic, difficulty and points of each in one line, parted by strokes or dots,
 * or each in square brackets of its own, are the author's labels.
 */
public final class LabelsInStrokes {

    private static final Pattern STROKE = Pattern.compile("\\s+[/|\u00b7\u2022\u2013\u2014]\\s+|\\s*;\\s+|\\]\\s*\\[");

    private static final int FEWEST_PARTS = 2;
    private static final int MOST_PARTS = 6;
    private static final int LONGEST_PART = 40;

    /** One may be part of anything. */
    private static final int FEWEST_LINES = 2;

    private LabelsInStrokes() {}

    /** Makes such lines labels. */
    public static void mark(List<Cues> all) {
        List<Integer> found = IntStream.range(0, all.size())
                .filter(i -> isFree(all.get(i)) && isLine(all.get(i).text()))
                .boxed()
                .toList();
        for (int piece : found.size() >= FEWEST_LINES ? found : List.<Integer>of()) {
            Cues cues = all.get(piece);
            all.set(
                    piece,
                    cues.withLabels(List.of())
                            .withLead(new Cues.Lead(
                                    Cues.Announces.LABEL, cues.piece().segment().to())));
        }
    }

    private static boolean isFree(Cues cues) {
        return cues.piece().first()
                && cues.lead().isEmpty()
                && cues.labels().isEmpty()
                && !cues.is(Cues.Trait.HEADING)
                && cues.line().layout().cell().isEmpty();
    }

    /** Whether short parts stand beside one another, of which one is points or says how hard the question is. */
    public static boolean isLine(String text) {
        List<String> parts = parts(text);
        return parts.size() >= FEWEST_PARTS
                && parts.size() <= MOST_PARTS
                && parts.stream().allMatch(part -> !part.isEmpty() && part.length() <= LONGEST_PART)
                && parts.stream().anyMatch(LabelsInStrokes::isTelling);
    }

    /** The parts of a line, as they are printed. */
    public static List<String> parts(String text) {
        String bare = text.strip();
        String inside = bare.startsWith("[") && bare.endsWith("]") || bare.startsWith("(") && bare.endsWith(")")
                ? bare.substring(1, bare.length() - 1)
                : bare;
        return Stream.of(STROKE.split(inside)).map(String::strip).toList();
    }

    private static boolean isTelling(String part) {
        return PointsFinder.only(part).isPresent() || Vocabulary.ALL.has("difficulty", part);
    }
}
