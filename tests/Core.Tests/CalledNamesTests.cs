using CsCheck;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Roster;
using Shouldly;

namespace Core.Tests;

/// <summary>Readers of one name are told apart.</summary>
public sealed class CalledNamesTests
{
    private static string[] Called(params (string Given, string Family)[] readers)
    {
        // In the order they came: IDs of one millisecond have none of their own.
        var ids = readers.Select(_ => ReaderId.New()).OrderBy(id => id.Value);
        var all = readers.Zip(ids, (r, id) => (Id: id, r.Given, r.Family)).ToList();
        var called = CalledNames.Of(all.Select(r => (r.Id, r.Given, r.Family)));
        return [.. all.Select(r => called[r.Id])];
    }

    [Fact]
    public void A_name_that_is_there_once_stays_as_it_is() =>
        Called(("Mina", "Rivas"), ("Tom", "Rivas")).ShouldBe(["Mina", "Tom"]);

    [Fact]
    public void Two_of_one_name_have_an_initial() =>
        Called(("Mina", "Rivas"), ("mina", "Sato")).ShouldBe(["Mina R.", "mina S."]);

    [Fact]
    public void As_many_letters_as_are_needed() =>
        Called(("Mina", "Rivas"), ("Mina", "Riley"), ("Mina", "Ri")).ShouldBe(["Mina Riv.", "Mina Ril.", "Mina Ri"]);

    [Fact]
    public void Who_shares_the_whole_name_is_counted() =>
        Called(("Mina", "Rivas"), ("Mina", "Rivas"), ("Mina", "")).ShouldBe(["Mina Rivas 1", "Mina Rivas 2", "Mina"]);

    [Fact]
    public void Nobody_is_called_like_another()
    {
        var names = Gen.Int[0, 5].Select(i => new[] { "", "Rivas", "Riley", "Ri", "Sato", "rivas" }[i]);
        Gen.Select(Gen.Int[0, 2].Select(i => new[] { "Mina", "Tom", "mina" }[i]), names)
            .Array[1, 12]
            .Sample(readers =>
            {
                var called = Called([.. readers]);
                called.Distinct(StringComparer.OrdinalIgnoreCase).Count().ShouldBe(called.Length);
            });
    }
}
