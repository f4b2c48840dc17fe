package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.line.GapParser;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.Vocabulary;

/** A picture with "A ____ B ____" below it, or with "Label the …" above it: names for the places of the picture. */
final class PictureLabelMaker {

    private static final Pattern NAMES_ASKED =
            Vocabulary.pattern(".*\\b" + Vocabulary.ALL.either("name_parts") + "\\b.*");

    /** "A [[1]] B [[2]]" at the end of a stem: letters or numbers, each with its blank. */
    private static final Pattern LABELLED_GAPS =
            Pattern.compile("(?:(?:^|(?<=\\s))[(\\[]?([A-Z]|[a-z]|\\d{1,2})[)\\].:=]?\\s*\\[\\[\\d+]]\\s*){2,}$");

    private static final Pattern LABEL = Pattern.compile("([A-Za-z]|\\d{1,2})[)\\].:=]?\\s*\\[\\[\\d+]]");

    /** "A to D", "1-5": the places where nothing is printed to write on. */
    private static final Pattern LABEL_RANGE = Vocabulary.pattern(
            "\\b(?:([A-Z])|(\\d))\\s*(?:-|\u2013|" + Vocabulary.ALL.either("to") + ")\\s*(?:([A-Z])|(\\d{1,2}))\\b");

    /** "A, B and C". */
    private static final Pattern LABEL_LIST =
            Vocabulary.pattern("\\b(?-i:[A-Z](?:\\s?,\\s?[A-Z])+|\\d(?:\\s?,\\s?\\d)+)\\s?,?\\s?"
                    + Vocabulary.ALL.either("and") + "\\s(?-i:[A-Z]|\\d)\\b");

    private static final Pattern ONE_LABEL = Pattern.compile("\\b(?:[A-Z]|\\d)\\b");

    private PictureLabelMaker() {}

    /** @param words the names printed to choose from, or empty */
    static Optional<PictureLabel> find(Draft draft, Particulars particulars, List<String> words, String said) {
        Prose stem = particulars.stem();
        boolean pictured = !stem.pictures().isEmpty() && draft.options.isEmpty();
        if (!pictured) {
            return Optional.empty();
        }
        boolean named = NAMES_ASKED.matcher(stem.plain()).matches();
        Matcher blanks = LABELLED_GAPS.matcher(stem.plain());
        if (blanks.find()) {
            List<String> labels = labels(blanks.group());
            boolean all = labels.size() == stem.gapCount();
            return all ? Optional.of(make(particulars, beforeGaps(stem), labels, words, said)) : Optional.empty();
        }
        if (named && stem.gapCount() == 0) {
            List<String> labels = range(stem.plain());
            return labels.isEmpty() ? Optional.empty() : Optional.of(make(particulars, stem, labels, words, said));
        }
        return Optional.empty();
    }

    private static PictureLabel make(
            Particulars particulars, Prose stem, List<String> labels, List<String> words, String said) {
        List<List<String>> gaps =
                GapParser.lettered(said, labels).orElseGet(() -> GapParser.accepted(said, labels.size()));
        return new PictureLabel(particulars.withStem(stem), labels, words, gaps);
    }

    private static List<String> labels(String text) {
        return LABEL.matcher(text).results().map(found -> found.group(1)).toList();
    }

    /** The stem up to the first labelled gap, with its pictures. */
    private static Prose beforeGaps(Prose stem) {
        String typed = stem.typed();
        Matcher first = LABEL.matcher(typed);
        int end = first.find() ? first.start() : typed.length();
        Prose cut = stem.cut(
                0, typed.substring(0, end).replaceAll("[\\s(\\[]+$", "").length());
        List<Inline> kept = new ArrayList<>(cut.parts());
        kept.removeIf(Inline.Picture.class::isInstance);
        kept.addAll(stem.pictures());
        return new Prose(kept);
    }

    private static List<String> range(String text) {
        Matcher list = LABEL_LIST.matcher(text);
        if (list.find()) {
            return ONE_LABEL
                    .matcher(list.group())
                    .results()
                    .map(MatchResult::group)
                    .toList();
        }
        Matcher matcher = LABEL_RANGE.matcher(text);
        if (!matcher.find()) {
            return List.of();
        }
        List<String> labels = new ArrayList<>();
        if (matcher.group(1) != null && matcher.group(3) != null) {
            for (char label = matcher.group(1).charAt(0);
                    label <= matcher.group(3).charAt(0);
                    label++) {
                labels.add(String.valueOf(label));
            }
        } else if (matcher.group(2) != null && matcher.group(4) != null) {
            for (int label = Integer.parseInt(matcher.group(2)); label <= Integer.parseInt(matcher.group(4)); label++) {
                labels.add(String.valueOf(label));
            }
        }
        return labels.size() < 2 ? List.of() : labels;
    }
}
