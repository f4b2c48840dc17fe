package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.line.Alternatives;
import org.tidyleaf.reading.model.GatheredKey;

/** "She (open / opens) the hive and (take / takes) a frame.": each choice within the sentence becomes a gap with its words behind it. */
final class SeveralAlternatives {

    private static final Pattern STROKE = Pattern.compile("\\s*[/|]\\s*");

    /** "3 shone", "(3) shone". */
    private static final Pattern NUMBERED = Pattern.compile("^[(\\[]?\\d{1,3}[)\\].:]?\\s+(?=\\p{L})");

    private SeveralAlternatives() {}

    /**
     * The gapped sentence; empty where it has fewer than two choices, or has gaps already.
     *
     * @param asked whether something says that one is to be chosen; otherwise only strokes with space around them count
     */
    static Optional<Question> find(Particulars particulars, GatheredKey key, boolean asked) {
        Prose stem = particulars.stem();
        List<MatchResult> choices =
                Alternatives.BRACKETS.matcher(stem.typed()).results().toList();
        boolean meant =
                asked || choices.stream().allMatch(choice -> choice.group(1).matches("[^/|]*(?:\\s[/|]\\s[^/|]*)+"));
        if (choices.size() < 2 || stem.gapCount() > 0 || !meant) {
            return Optional.empty();
        }
        List<Inline> parts = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < choices.size(); i++) {
            parts.addAll(stem.cut(from, choices.get(i).start()).parts());
            parts.add(new Inline.Gap(i + 1));
            parts.add(new Inline.Text(" ", Set.of()));
            from = choices.get(i).start();
        }
        parts.addAll(stem.cut(from, Integer.MAX_VALUE).parts());
        List<List<String>> offered = choices.stream()
                .map(choice -> Arrays.asList(STROKE.split(choice.group(1).strip())))
                .toList();
        return Optional.of(
                new TextEntry(particulars.withStem(new Prose(parts).joined()), accepted(offered, key, stem, choices)));
    }

    /** What the key names of each choice, or what is set apart in it. */
    private static List<List<String>> accepted(
            List<List<String>> offered, GatheredKey key, Prose stem, List<MatchResult> choices) {
        List<String> said = key.text()
                .map(text -> Arrays.stream(text.strip().split("\\s*[,;/]\\s*|\\s+(?=[(]\\d{1,2}[)])"))
                        .map(word -> NUMBERED.matcher(word).replaceFirst(""))
                        .toList())
                .orElse(List.of());
        boolean each = said.size() == offered.size();
        List<List<String>> accepted = new ArrayList<>();
        for (int i = 0; i < offered.size(); i++) {
            List<String> words = offered.get(i);
            Optional<String> right = each && words.contains(said.get(i))
                    ? Optional.of(said.get(i))
                    : setApart(stem.cut(choices.get(i).start(), choices.get(i).end()), words);
            accepted.add(right.map(List::of).orElse(List.of()));
        }
        return accepted;
    }

    private static Optional<String> setApart(Prose choice, List<String> words) {
        int place = Alternatives.setApart(choice, words);
        return place < 0 ? Optional.empty() : Optional.of(words.get(place));
    }
}
