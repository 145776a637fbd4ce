namespace Core.Tests;

/// <summary>Ids and seeds that follow from a name.</summary>
public sealed class NamedIdTests
{
    [Fact]
    public void The_id_of_a_name_is_the_one_that_the_standard_works_out_as_its_example() =>
        NamedId
            .Of(new("6ba7b810-9dad-11d1-80b4-00c04fd430c8"), "www.example.com")
            .ShouldBe(new Guid("5c146b14-3c52-8afd-938a-375d0df1fbf6"));

    [Fact]
    public void Other_names_and_other_namespaces_have_other_ids_and_seeds()
    {
        var (one, other) = (Guid.NewGuid(), Guid.NewGuid());
        NamedId.Of(one, "a").ShouldBe(NamedId.Of(one, "a"));
        NamedId.Of(one, "a").ShouldNotBe(NamedId.Of(one, "b"));
        NamedId.Of(one, "a").ShouldNotBe(NamedId.Of(other, "a"));
        NamedId.Seed(one, "a").ShouldNotBe(NamedId.Seed(one, "b"));
    }
}
