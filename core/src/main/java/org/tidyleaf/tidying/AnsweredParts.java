package org.tidyleaf.tidying;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Prose;

/** Understands keys of several parts as a teacher types them: "oak = hard" or "1-b 2-a", and items line by line or "b a c". */
final class AnsweredParts {

    private AnsweredParts() {}

    /** For each left the 0-based place of its target; empty unless every left has one. */
    static List<Integer> pairs(String text, List<Prose> lefts, List<Prose> targets) {
        List<Integer> key = new ArrayList<>();
        for (int i = 0; i < lefts.size(); i++) {
            int number = i + 1;
            String left = lefts.get(i).plain().toLowerCase(Locale.ROOT);
            int target = text.lines()
                    .filter(line -> line.contains("="))
                    .filter(line -> line.substring(0, line.indexOf('='))
                            .strip()
                            .toLowerCase(Locale.ROOT)
                            .equals(left))
                    .map(line -> place(line.substring(line.indexOf('=') + 1), targets))
                    .findFirst()
                    .orElseGet(() -> byLetter(text, number, targets));
            if (target < 0) {
                return List.of();
            }
            key.add(target);
        }
        return key;
    }

    /** "1-b": the letter counts the targets. */
    private static int byLetter(String text, int number, List<Prose> targets) {
        Matcher matcher = Pattern.compile("(?<!\\d)" + number + "\\s*[-:=.)]?\\s*([A-Za-z])\\b")
                .matcher(text);
        int place = matcher.find() ? Character.toLowerCase(matcher.group(1).charAt(0)) - 'a' : -1;
        return place < targets.size() ? place : -1;
    }

    private static int place(String text, List<Prose> among) {
        for (int i = 0; i < among.size(); i++) {
            if (among.get(i).plain().equalsIgnoreCase(text.strip())) {
                return i;
            }
        }
        return -1;
    }

    /** The 0-based places of the items in the order typed; empty unless each is there once. */
    static List<Integer> order(String text, List<Prose> items) {
        List<Integer> places = new ArrayList<>();
        for (String line : text.lines().toList()) {
            places.add(place(line, items));
        }
        if (isWhole(places, items.size())) {
            return places;
        }
        places.clear();
        for (String letter : text.strip().split("[\\s,;]+")) {
            places.add(letter.length() == 1 ? Character.toLowerCase(letter.charAt(0)) - 'a' : -1);
        }
        return isWhole(places, items.size()) ? places : List.of();
    }

    private static boolean isWhole(List<Integer> places, int size) {
        return places.size() == size
                && places.stream().distinct().count() == size
                && places.stream().allMatch(place -> place >= 0 && place < size);
    }
}
