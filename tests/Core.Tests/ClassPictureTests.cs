using CsCheck;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Core.Tests;

public class ClassPictureTests
{
    private static readonly Gen<List<ReaderId>> Classes = Gen
        .Guid.Select(ReaderId.From)
        .List[0, 48]
        .Where(ids => ids.Distinct().Count() == ids.Count);

    private static List<(ReaderId, string?)> Unchosen(IEnumerable<ReaderId> ids) =>
        [.. ids.Select(i => (i, (string?)null))];

    [Fact]
    public void No_two_readers_of_a_class_share_a_picture() =>
        Classes.Sample(ids =>
        {
            var pictures = ClassPictures.Of(Unchosen(ids));
            Assert.Equal(ids.Count, pictures.Values.Distinct().Count());
            Assert.All(pictures.Values, p => Assert.Contains(p, ClassPictures.All));
        });

    [Fact]
    public void Who_comes_later_changes_nobodys_picture() =>
        Classes.Sample(ids =>
        {
            var before = ClassPictures.Of(Unchosen(ids.Take(ids.Count / 2)));
            var after = ClassPictures.Of(Unchosen(ids));
            Assert.All(before, p => Assert.Equal(p.Value, after[p.Key]));
        });

    [Fact]
    public void A_chosen_picture_is_the_readers_and_goes_to_nobody_else()
    {
        var (mina, leo) = (ReaderId.New(), ReaderId.New());
        var taken = ClassPictures.Of([(mina, null)])[mina];
        var pictures = ClassPictures.Of([(mina, null), (leo, taken)]);
        Assert.Equal(taken, pictures[leo]);
        Assert.NotEqual(taken, pictures[mina]);
    }

    [Fact]
    public void Of_two_who_chose_the_same_the_first_keeps_it_and_an_unknown_one_counts_as_none()
    {
        var (mina, leo, ana) = (ReaderId.New(), ReaderId.New(), ReaderId.New());
        var pictures = ClassPictures.Of([(mina, "boat"), (leo, "boat"), (ana, "submarine")]);
        Assert.Equal("boat", pictures[mina]);
        Assert.Equal(3, pictures.Values.Distinct().Count());
        Assert.DoesNotContain("submarine", pictures.Values);
    }

    [Fact]
    public void A_class_larger_than_there_are_pictures_still_has_one_for_each()
    {
        var ids = Enumerable.Range(0, 100).Select(_ => ReaderId.New()).ToList();
        Assert.Equal(100, ClassPictures.Of(Unchosen(ids)).Count);
    }
}
