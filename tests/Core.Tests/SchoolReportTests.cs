using CsCheck;
using DeepCurrent.Core;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Reports;
using Shouldly;

namespace Core.Tests;

/// <summary>A school over a span: means with their ranges, and what is withheld so that nobody is given away.</summary>
public sealed class SchoolReportTests
{
    private static List<ReaderId> Ids(int n) => [.. Enumerable.Range(0, n).Select(_ => ReaderId.New())];

    private static SchoolSpan Span(IEnumerable<(ReaderId Id, SchoolReading Reading)> readers, double weeks = 4) =>
        new(readers.ToDictionary(r => r.Id, r => r.Reading), weeks, LevelChart.Default);

    private static SchoolReading Read(int words, double? before = null, double? after = null) =>
        new(words, words, null, before is { } b ? new Fathoms(b) : null, after is { } a ? new Fathoms(a) : null);

    private static MeasureFigures The(SchoolFigures figures, SchoolMeasure measure) =>
        figures.Measures.Single(m => m.Measure == measure);

    [Fact]
    public void Means_are_a_school_week_and_have_the_range_of_the_literature()
    {
        var ids = Ids(5);
        var (_, all) = SchoolReport.Of([ids.ToHashSet()], Span(ids.Select((id, i) => (id, Read(400 * (i + 1))))), null);
        var words = The(all, SchoolMeasure.Words).Now!;
        words.Mean.ShouldBe(300, 1e-9);
        // The sd of 100, 200 … 500 is 158.1; its standard error of five 70.7.
        words.Half.ShouldBe(1.645 * 70.7107, 1e-3);
        The(all, SchoolMeasure.FirstTry).Now.ShouldBeNull();
    }

    [Fact]
    public void Growth_is_held_against_what_is_typical_at_each_readers_own_level()
    {
        var ids = Ids(6);
        var typical = 4 * LevelChart.Default.GrowthPerWeek(new(30));
        var (_, all) = SchoolReport.Of(
            [ids.ToHashSet()],
            Span(ids.Select(id => (id, Read(0, 30, 30 + typical)))),
            null
        );
        The(all, SchoolMeasure.Growth).Now!.Mean.ShouldBe(typical, 1e-9);
        The(all, SchoolMeasure.AgainstTypical).Now!.Mean.ShouldBe(0, 1e-9);
    }

    [Fact]
    public void A_change_is_of_those_with_both_spans_and_the_rest_is_everybody_else()
    {
        var ids = Ids(12);
        HashSet<ReaderId> one = [.. ids.Take(6)],
            other = [.. ids.Skip(6)];
        var now = Span(ids.Select(id => (id, Read(one.Contains(id) ? 800 : 400))));
        var before = Span(ids.Skip(1).Select(id => (id, Read(200))));
        var (groups, _) = SchoolReport.Of([one, other], now, before);
        var words = The(groups[0], SchoolMeasure.Words);
        words.Change!.Mean.ShouldBe(150, 1e-9);
        words.Change.Readers.ShouldBe(5);
        words.AgainstRest!.Mean.ShouldBe(100, 1e-9);
    }

    [Fact]
    public void In_holidays_nothing_is_said_a_week()
    {
        var ids = Ids(5);
        var (_, all) = SchoolReport.Of([ids.ToHashSet()], Span(ids.Select(id => (id, Read(90))), 0), null);
        The(all, SchoolMeasure.Words).Now.ShouldBeNull();
    }

    [Fact]
    public void Small_groups_are_withheld_and_never_so_few_that_the_rest_gives_them_away() =>
        Gen.Int[0, 30]
            .List[0, 12]
            .Sample(sizes =>
            {
                var withheld = SchoolReport.Withheld(sizes);
                sizes.Zip(withheld).ShouldAllBe(x => x.Second || x.First >= SchoolReport.Fewest);
                var hidden = sizes.Where((_, i) => withheld[i]).Sum();
                (hidden == 0 || hidden >= SchoolReport.Fewest || withheld.All(w => w)).ShouldBeTrue();
            });

    [Fact]
    public void A_group_that_is_withheld_has_no_figures()
    {
        var ids = Ids(10);
        var (groups, _) = SchoolReport.Of(
            [ids.Take(3).ToHashSet(), ids.Skip(3).ToHashSet()],
            Span(ids.Select(id => (id, Read(100)))),
            null
        );
        // Three alone would be told by the seven beside them: both are withheld.
        groups.ShouldAllBe(g => g.Withheld && g.Measures.Count == 0);
    }

    [Fact]
    public void The_library_stands_in_bands_that_leave_nothing_out() =>
        Gen.Select(Gen.Double[-20, 100].List[0, 60], Gen.Int[0, 40].List[0, 60])
            .Sample(
                (depths, readings) =>
                {
                    var versions = depths.Zip(readings, (d, n) => new VersionUse(new(d), n)).ToList();
                    var bands = LibraryBand.Of(versions, [.. depths.Select(d => new Fathoms(d))]);
                    bands.Sum(b => b.Versions).ShouldBe(versions.Count);
                    bands.Sum(b => b.Readings).ShouldBe(versions.Sum(v => v.Readings));
                    bands.Sum(b => b.Read).ShouldBe(versions.Count(v => v.Readings > 0));
                    bands.ShouldAllBe(b => b.Readers == null || b.Readers == 0 || b.Readers >= SchoolReport.Fewest);
                }
            );
}
