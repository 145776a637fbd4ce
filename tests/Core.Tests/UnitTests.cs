using System.Globalization;
using System.Text.Json;
using CsCheck;
using DeepCurrent.Core;
using DeepCurrent.Core.Depth;
using Shouldly;

namespace Core.Tests;

/// <summary>Numbers that say what they count.</summary>
public sealed class UnitTests
{
    private static readonly JsonSerializerOptions Plain = new(JsonSerializerDefaults.Web);

    [Fact]
    public void A_quantity_is_its_number_in_json() =>
        Gen.Double[0, 1]
            .Sample(x =>
            {
                var number = JsonSerializer.Serialize(x);
                JsonSerializer.Serialize(new Fathoms(x), Plain).ShouldBe(number);
                JsonSerializer.Serialize(new Probability(x), Plain).ShouldBe(number);
                JsonSerializer.Deserialize<Fathoms?>(number, Plain).ShouldBe(new Fathoms(x));
                JsonSerializer.Deserialize<WordsPerMinute>(number, Plain).ShouldBe(new WordsPerMinute(x));
            });

    [Theory]
    [InlineData("1.2")]
    [InlineData("-0.1")]
    [InlineData("\"half\"")]
    public void What_is_no_share_is_told_as_a_fault_of_what_was_sent(string sent) =>
        Should
            .Throw<Exception>(() => JsonSerializer.Deserialize<Probability>(sent, Plain))
            .ShouldBeOfType<JsonException>();

    [Fact]
    public void A_quantity_is_written_with_its_unit_or_as_a_bare_number_in_a_format()
    {
        string Bare(IUnit of, string format) => of.ToString(format, CultureInfo.InvariantCulture);
        $"{new Fathoms(31.26)}".ShouldBe("31.3 fm");
        Bare(new Fathoms(31.26), "0.0").ShouldBe("31.3");
        $"{new Probability(0.696)}".ShouldBe("70 %");
        Bare(new Probability(0.696), "0.00").ShouldBe("0.70");
        $"{new WordsPerMinute(104.4)}".ShouldBe("104 words a minute");
        Bare(new WordsPerMinute(104.4), "0").ShouldBe("104");
    }

    [Fact]
    public void Quantities_sort_by_their_numbers() =>
        new[] { 0.4, 0.1, 0.9 }.Select(x => new Probability(x)).Order().Select(p => p.Value).ShouldBe([0.1, 0.4, 0.9]);

    [Fact]
    public void Every_unit_is_known() =>
        IUnit.Kinds.ShouldBe([typeof(Fathoms), typeof(Probability), typeof(WordsPerMinute)], ignoreOrder: true);
}
