package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;

/** "Options: oak, pine, spruce": all options on one line behind the word for them. */
public final class ListedOptions {

    /** What labels of such options share. */
    public static final String SHAPE = "listed";

    /** What parts options within a sentence, or ends it behind the last; "2.5 kg." has one full stop too many. */
    private static final Pattern PARTED = Pattern.compile("(?s).*[;,]|(?:[^.!?]|[.](?=\\d))*[.]");

    private static final Pattern LIST =
            Vocabulary.pattern("\\s*" + Vocabulary.ALL.either("options") + "\\s*:\\s*(?=\\S)");

    /** "2,3,5": of so many no two are one number. */
    private static final Pattern WHOLE_NUMBERS = Pattern.compile("\\s*\\d{1,6}(?:,\\d{1,6}){2,20}\\s*");

    private static final Pattern COMMA = Pattern.compile(",");

    /** A comma within a number parts nothing. */
    private static final List<Pattern> SEPARATORS = Stream.of(
                    "\\s*;\\s*", "\\s*\\|\\s*", "\\s+/\\s+", "\\s*,(?!\\d)\\s*")
            .map(Pattern::compile)
            .toList();

    private ListedOptions() {}

    /** One piece for each option, without what parts them; empty where the line is no such list. */
    public static List<Piece> pieces(Line line) {
        if (line.text().indexOf(':') < 0) {
            return List.of();
        }
        Matcher list = LIST.matcher(line.text());
        if (!list.lookingAt()) {
            return List.of();
        }
        return parted(line, list.end());
    }

    /** One piece for each option from a place on, by the strongest sign that parts any; empty where none does. */
    public static List<Piece> parted(Line line, int from) {
        boolean whole = WHOLE_NUMBERS.matcher(line.text().substring(from)).matches();
        for (Pattern separator : whole ? List.of(COMMA) : SEPARATORS) {
            List<Piece> pieces = cut(line, from, separator);
            if (pieces.size() > 1) {
                return pieces;
            }
        }
        return List.of();
    }

    /** The parts of a line from a place on, without what parts them; the first reaches back to the line's beginning. */
    public static List<Piece> cut(Line line, int from, Pattern separator) {
        List<Piece> pieces = new ArrayList<>();
        Matcher matcher =
                separator.matcher(line.text()).region(from, line.text().length());
        int at = 0;
        while (matcher.find()) {
            pieces.add(new Piece(new Segment(line.number(), at, matcher.start()), at == 0));
            at = matcher.end();
        }
        pieces.add(new Piece(new Segment(line.number(), at, line.text().length()), at == 0));
        return pieces;
    }

    /** The options without what parts them within a sentence, where they are so parted. */
    public static List<Prose> unparted(List<Prose> options) {
        boolean parted = areParted(options.stream().map(Prose::plain).toList());
        return options.stream()
                .map(text -> parted && PARTED.matcher(text.typed()).matches()
                        ? text.cut(0, text.typed().length() - 1)
                        : text)
                .toList();
    }

    /** "a. long; b. short; c. wide.", "a) glucose, b) water, c) wax": all but the last end with a sign that only parts them. */
    private static boolean areParted(List<String> texts) {
        return texts.size() > 1 && (areParted(texts, ";") || areParted(texts, ","));
    }

    private static boolean areParted(List<String> texts, String sign) {
        return texts.subList(0, texts.size() - 1).stream()
                .allMatch(text -> text.strip().endsWith(sign));
    }

    /** The label of the first option is the word; the others have an empty one that says their place. */
    public static void label(List<Cues> all) {
        int ordinal = 0;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            Segment segment = cues.piece().segment();
            ordinal = cues.piece().first() ? 0 : ordinal;
            Optional<Integer> start = ordinal > 0
                    ? Optional.of(segment.from())
                    : pieces(cues.line()).isEmpty() ? Optional.empty() : Optional.of(wordEnd(cues.line()));
            if (start.isPresent()) {
                ordinal++;
                Label label = new Label(Label.Kind.LETTER, ordinal, "", SHAPE, segment.from(), start.get());
                all.set(i, cues.withLabels(List.of(label)));
            }
        }
    }

    private static int wordEnd(Line line) {
        Matcher list = LIST.matcher(line.text());
        return list.lookingAt() ? list.end() : 0;
    }
}
