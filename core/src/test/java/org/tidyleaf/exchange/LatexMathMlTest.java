package org.tidyleaf.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** MathML Core (W3C), its elements for fractions, roots and scripts: a fraction has two children, msubsup three. */
class LatexMathMlTest {

    private static String mathMl(String latex) {
        return LatexMathMl.convert(latex).replaceAll("<annotation.*?</annotation>", "");
    }

    @Test
    void structuresHaveTheChildrenThatMathMlWants() {
        assertThat(mathMl("\\frac{1}{2}")).contains("<mfrac><mrow><mn>1</mn></mrow><mrow><mn>2</mn></mrow></mfrac>");
        assertThat(mathMl("\\sqrt[3]{x}")).contains("<mroot><mrow><mi>x</mi></mrow><mrow><mn>3</mn></mrow></mroot>");
        assertThat(mathMl("x_{1}^{2}")).contains("<msubsup><mi>x</mi><mrow><mrow><mn>1</mn></mrow></mrow>");
        assertThat(mathMl("a \\leq \\pi")).contains("<mo>\u2264</mo><mi>\u03c0</mi>");
    }

    @Test
    void hostileTextStaysText() {
        assertThat(LatexMathMl.convert("<script>")).doesNotContain("<script>");
        assertThat(mathMl("{".repeat(5000))).endsWith("</math>");
    }
}
