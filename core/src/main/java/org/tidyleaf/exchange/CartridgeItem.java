package org.tidyleaf.exchange;

import java.math.BigDecimal;
import java.util.List;
import java.util.Set;

/**
 * One question of the few kinds that a Common Cartridge holds.
 *
 * @param id unique in the cartridge
 * @param kind how it is answered
 * @param text what is asked, as HTML
 * @param options of the choices, as HTML
 * @param right 0-based places of the right options
 * @param accepted the spellings that earn the points, for a blank
 * @param feedback shown after answering, as HTML, or empty
 * @param optionFeedback for each option, or empty
 */
record CartridgeItem(
        String id,
        Kind kind,
        String text,
        List<String> options,
        Set<Integer> right,
        List<String> accepted,
        BigDecimal points,
        String feedback,
        List<String> optionFeedback) {

    private static final String RESPONSE = "response";

    /** The profiles of questions in Common Cartridge 1.3 (1EdTech). */
    enum Kind {
        MULTIPLE_CHOICE("cc.multiple_choice.v0p1"),
        MULTIPLE_RESPONSE("cc.multiple_response.v0p1"),
        TRUE_FALSE("cc.true_false.v0p1"),
        BLANK("cc.fib.v0p1"),
        ESSAY("cc.essay.v0p1");

        private final String profile;

        Kind(String profile) {
            this.profile = profile;
        }

        String profile() {
            return profile;
        }
    }

    /** As an item of QTI 1.2 in the subset of the cartridge. */
    void write(XmlText out) {
        out.open("item", "ident", id, "title", id).open("itemmetadata").open("qtimetadata");
        field(out, "cc_profile", kind.profile());
        field(out, "cc_weighting", points.stripTrailingZeros().toPlainString());
        if (kind == Kind.ESSAY) {
            field(out, "qmd_computerscored", "No");
        }
        out.close("qtimetadata").close("itemmetadata").open("presentation");
        material(out, text);
        boolean written = kind == Kind.BLANK || kind == Kind.ESSAY;
        if (written) {
            out.open("response_str", "ident", RESPONSE, "rcardinality", "Single")
                    .empty("render_fib", "rows", kind == Kind.ESSAY ? "8" : "1", "prompt", "Box")
                    .close("response_str");
        } else {
            choices(out);
        }
        out.close("presentation");
        rules(out);
        feedback(out);
        out.close("item");
    }

    static void field(XmlText out, String name, String value) {
        out.open("qtimetadatafield")
                .element("fieldlabel", name)
                .element("fieldentry", value)
                .close("qtimetadatafield");
    }

    private static void material(XmlText out, String html) {
        out.open("material").element("mattext", html, "texttype", "text/html").close("material");
    }

    private void choices(XmlText out) {
        String cardinality = kind == Kind.MULTIPLE_RESPONSE ? "Multiple" : "Single";
        out.open("response_lid", "ident", RESPONSE, "rcardinality", cardinality).open("render_choice");
        for (int i = 0; i < options.size(); i++) {
            out.open("response_label", "ident", option(i));
            material(out, options.get(i));
            out.close("response_label");
        }
        out.close("render_choice").close("response_lid");
    }

    private static String option(int place) {
        return "o" + (place + 1);
    }

    private void rules(XmlText out) {
        out.open("resprocessing").open("outcomes");
        out.empty("decvar", "maxvalue", "100", "minvalue", "0", "varname", "SCORE", "vartype", "Decimal");
        out.close("outcomes");
        for (int i = 0; i < optionFeedback.size(); i++) {
            if (!optionFeedback.get(i).isEmpty()) {
                out.open("respcondition", "continue", "Yes").open("conditionvar");
                equal(out, option(i));
                out.close("conditionvar")
                        .empty("displayfeedback", "feedbacktype", "Response", "linkrefid", option(i) + "_fb")
                        .close("respcondition");
            }
        }
        if (!feedback.isEmpty()) {
            out.open("respcondition", "continue", "Yes")
                    .open("conditionvar")
                    .empty("other")
                    .close("conditionvar")
                    .empty("displayfeedback", "feedbacktype", "Response", "linkrefid", "general_fb")
                    .close("respcondition");
        }
        if (!right.isEmpty() || !accepted.isEmpty()) {
            out.open("respcondition", "continue", "No").open("conditionvar");
            condition(out);
            out.close("conditionvar")
                    .element("setvar", "100", "action", "Set", "varname", "SCORE")
                    .close("respcondition");
        }
        out.close("resprocessing");
    }

    private void condition(XmlText out) {
        if (kind == Kind.BLANK) {
            accepted.forEach(spelling -> out.element("varequal", spelling, "respident", RESPONSE, "case", "No"));
        } else if (kind == Kind.MULTIPLE_RESPONSE) {
            out.open("and");
            for (int i = 0; i < options.size(); i++) {
                if (right.contains(i)) {
                    equal(out, option(i));
                } else {
                    out.open("not");
                    equal(out, option(i));
                    out.close("not");
                }
            }
            out.close("and");
        } else {
            right.forEach(place -> equal(out, option(place)));
        }
    }

    private static void equal(XmlText out, String value) {
        out.element("varequal", value, "respident", RESPONSE);
    }

    private void feedback(XmlText out) {
        if (!feedback.isEmpty()) {
            shown(out, "general_fb", feedback);
        }
        for (int i = 0; i < optionFeedback.size(); i++) {
            if (!optionFeedback.get(i).isEmpty()) {
                shown(out, option(i) + "_fb", optionFeedback.get(i));
            }
        }
    }

    private static void shown(XmlText out, String id, String html) {
        out.open("itemfeedback", "ident", id).open("flow_mat");
        material(out, html);
        out.close("flow_mat").close("itemfeedback");
    }
}
