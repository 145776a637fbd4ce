using System.Text.Json;
using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Messages;
using Shouldly;

namespace Core.Tests;

/// <summary>Sentences that are put into words where they are read.</summary>
public sealed class MessageTests
{
    private static string Spanish(Message m) => Catalogue.Of(Language.Spanish).Say(m);

    [Fact]
    public void A_message_keeps_its_sentence_apart_from_its_values()
    {
        var name = "Ana";
        Message m = $"Gave {name} a new secret";
        m.Key.ShouldBe("Gave {{0}} a new secret");
        m.Values.Single().Text.ShouldBe("Ana");
        m.ToString().ShouldBe("Gave Ana a new secret");
    }

    [Theory]
    [InlineData(1, "1 reader", "1 lector")]
    [InlineData(2, "2 readers", "2 lectores")]
    [InlineData(0, "0 readers", "0 lectores")]
    [InlineData(1234, "1,234 readers", "1234 lectores")]
    [InlineData(12345, "12,345 readers", "12.345 lectores")]
    public void One_and_many_and_the_writing_of_numbers_are_the_languages(int n, string english, string spanish)
    {
        Message m = $"{n:count} readers";
        m.ToString().ShouldBe(english);
        Spanish(m).ShouldBe(spanish);
    }

    [Fact]
    public void Days_and_decimals_are_written_as_the_language_does()
    {
        Message day = $"{new DateOnly(2026, 3, 4)}";
        day.ToString().ShouldBe("4 March 2026");
        Spanish(day).ShouldBe("4 de marzo de 2026");
        Message time = $"{new DateTimeOffset(2026, 12, 24, 9, 5, 0, TimeSpan.Zero)}";
        time.ToString().ShouldBe("24 December, 09:05");
        Message depth = $"{-1.26:0.0} fm";
        depth.ToString().ShouldBe("−1.3 fm");
        Spanish(depth).ShouldBe("−1,3 fm");
        ((Message)$"{3.0:0.#}{3.14:0.#}").ToString().ShouldBe("33.1");
    }

    [Fact]
    public void Messages_stand_in_messages_and_in_lists()
    {
        Message level = LevelLabels.Name(new(30), LevelLabels.InGrades, LevelChart.Default);
        Message m = $"{"Mina"} reads texts typical of the middle of {level}.";
        m.ToString().ShouldStartWith("Mina reads texts typical of the middle of grade ");
        Spanish(m).ShouldStartWith("Mina lee textos propios de la mitad de grado ");
        ((Message)$"{new[] { "a", "b" }}").ToString().ShouldBe("a, b");
    }

    [Fact]
    public void A_sentence_a_language_does_not_have_is_said_in_english() =>
        Spanish($"Add at least one word.").ShouldBe("Add at least one word.");

    [Fact]
    public void Somebodys_own_words_are_never_a_sentence()
    {
        var words = Message.Verbatim("You have used all your tries.");
        Spanish(words).ShouldBe("You have used all your tries.");
        Message.Nothing.IsNothing.ShouldBeTrue();
        Should.Throw<FormatException>(() => (Message)$"{1:count} and {2:count}");
    }

    [Fact]
    public void What_is_kept_is_read_again() =>
        Gen.Select(Gen.String, Gen.Int, Gen.Double[-1e6, 1e6], Gen.Date)
            .Sample(
                (text, n, x, day) =>
                {
                    Message m = $"{text} {n:count} {x:0.0} {DateOnly.FromDateTime(day)} {(Message)$"grade {text}"}";
                    JsonSerializer.Deserialize<Message>(JsonSerializer.Serialize(m)).ShouldBe(m);
                }
            );

    [Theory]
    [InlineData("Spanish", Language.Spanish)]
    [InlineData(" español ", Language.Spanish)]
    [InlineData("es-MX", Language.Spanish)]
    [InlineData("Estonian", Language.English)]
    [InlineData("Welsh", Language.English)]
    [InlineData(null, Language.English)]
    public void A_home_language_is_known_by_any_of_its_names(string? named, Language language) =>
        Languages.Of(named).ShouldBe(language);

    [Theory]
    [InlineData("fm", "31.4 fm")]
    [InlineData("school year", "Year 5")]
    [InlineData("age", "age 9–10")]
    public void A_level_is_called_as_the_school_calls_it(string system, string name) =>
        LevelLabels.Name(new(31.4), system, LevelChart.Default).ToString().ShouldBe(name);
}
