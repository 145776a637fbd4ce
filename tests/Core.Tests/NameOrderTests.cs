using CsCheck;
using DeepCurrent.Core.Roster;

namespace Core.Tests;

/// <summary>Names stand where people look for them.</summary>
public sealed class NameOrderTests
{
    private static readonly Gen<string> Name = Gen.Char["aAäÄbé 10'-zØ漢"].Array[0, 6].Select(c => new string(c));

    [Theory]
    [InlineData("Émile", "Eva")]
    [InlineData("emil", "Émile")]
    [InlineData("de Vries", "Dover")]
    [InlineData("9 Gull", "10 Crab")]
    [InlineData("9 Gull", "009 Heron")]
    [InlineData("Ana", "Ana B")]
    [InlineData("O’Brien", "Obi")]
    public void The_first_stands_before_the_second(string first, string second)
    {
        InOrder(second, first).ShouldBe([first, second]);
        InOrder(first, second).ShouldBe([first, second]);
    }

    private static IEnumerable<string> InOrder(params string[] names) => names.OrderByName(n => n);

    [Fact]
    public void A_number_too_long_to_count_with_is_still_a_name()
    {
        string nines = new('9', 400),
            eight = new string('9', 399) + "8";
        InOrder(nines, eight, "1" + new string('0', 400)).ShouldBe([eight, nines, "1" + new string('0', 400)]);
    }

    [Fact]
    public void The_order_does_not_depend_on_the_order_before() =>
        Name.Array[0, 8]
            .Sample(names =>
                names.OrderByName(n => n).ShouldBe(names.OrderDescending(StringComparer.Ordinal).OrderByName(n => n))
            );
}
