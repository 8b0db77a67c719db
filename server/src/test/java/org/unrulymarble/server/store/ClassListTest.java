package org.unrulymarble.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.unrulymarble.server.store.ClassList.Meaning;

class ClassListTest {

    /** Lines as people have them; a new line is a bar, and what is kept of each pupil is name and year. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '>',
            value = {
                "Rowan B 2016|Imke T|Ole S 2017 > Rowan B. 2016; Imke T.; Ole S. 2017",
                "Rowan, B, 2016|Imke, T|Ole, S, 2017 > Rowan B. 2016; Imke T.; Ole S. 2017",
                "Birch, Rowan|Tall, Imke|de Wit, Ole > Rowan B.; Imke T.; Ole W.",
                "1. Rowan Birch|2. Imke van Tall|3. Ana Maria Sol > Rowan B.; Imke T.; Ana Maria S.",
                "Nr;Surname;First name;Date of birth|1;Birch;Rowan;03.04.2016|2;Tall;Imke;2017-01-09 > Rowan B. 2016; Imke T. 2017",
                "Name\tForm\tBorn|Rowan Birch\t4L\t3/4/16|Imke Tall\t4L\t9/1/17 > Rowan B. 2016; Imke T. 2017",
                "\"Birch, Rowan\";4L|\"Tall, Imke\";4L > Rowan B.; Imke T.",
                "Name;Surname|Rowan;Birch|Imke;Tall > Rowan B.; Imke T.",
                "Rowan|Imke|Ole > Rowan; Imke; Ole",
                "Rowan \"Ro\" Birch|Imke \"Tall > Rowan \"Ro\" B.; Imke T.",
            })
    void finds_names_and_years_in_any_columns(String text, String kept) {
        ClassList read = ClassList.read(text.replace('|', '\n').replace("\\t", "\t"), null);
        assertThat(read.pupils())
                .extracting(p -> p.name() + (p.birthYear() == null ? "" : " " + p.birthYear()))
                .containsExactly(kept.split("; "));
        assertThat(read.unread()).isEmpty();
    }

    @Test
    void takes_a_column_for_what_somebody_says_it_is_and_tells_the_lines_without_a_name() {
        String text = "Birch, Rowan\nTall, Imke\n, Ole\nLone,";
        assertThat(ClassList.read(text, null).columns())
                .extracting(ClassList.ListColumn::meaning)
                .containsExactly(Meaning.FAMILY_NAME, Meaning.FIRST_NAME);
        ClassList said = ClassList.read(text, List.of(Meaning.FIRST_NAME, Meaning.FAMILY_NAME));
        assertThat(said.pupils()).extracting(PupilDetails::name).containsExactly("Birch R.", "Tall I.", "Lone");
        assertThat(said.unread()).containsExactly(3);
    }
}
