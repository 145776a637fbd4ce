using CsCheck;
using DeepCurrent.Core.Papers;

namespace Core.Tests;

/// <summary>Papers that go with an assignment, and what is drawn on them.</summary>
public sealed class PaperTests
{
    private static Stroke Line(params double[] points) => new(Guid.NewGuid(), 0, Pen.Fine, points);

    [Fact]
    public void A_file_is_known_by_how_it_begins_and_not_by_its_name()
    {
        Paper.KindOf("%PDF-1.7 …"u8).ShouldBe(PaperKind.Pdf);
        Paper.KindOf([0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A, 0]).ShouldBe(PaperKind.Png);
        Paper.KindOf([0xFF, 0xD8, 0xFF, 0xE0]).ShouldBe(PaperKind.Jpeg);
        Paper.KindOf("<svg onload='alert(1)'>"u8).ShouldBeNull();
        Paper.KindOf([]).ShouldBeNull();
    }

    [Fact]
    public void Strokes_lie_within_a_page()
    {
        Paper.Fits([Line(0, 0, 1, 1)]).ShouldBeTrue();
        Paper.Fits([]).ShouldBeTrue();
        Paper.Fits([Line(0, 0, 1)]).ShouldBeFalse();
        Paper.Fits([Line()]).ShouldBeFalse();
        Paper.Fits([Line(0, 1.01)]).ShouldBeFalse();
        Paper.Fits([Line(0, double.NaN)]).ShouldBeFalse();
        Paper.Fits([Line(0, 0) with { Page = 200 }]).ShouldBeFalse();
        Paper.Fits([.. Enumerable.Range(0, Paper.MostStrokes + 1).Select(_ => Line(0, 0))]).ShouldBeFalse();
    }

    [Fact]
    public void What_two_devices_drew_is_together_in_any_order_and_nothing_is_lost()
    {
        var ids = Enumerable.Range(0, 6).Select(_ => Guid.NewGuid()).ToArray();
        var strokes = Gen.Select(Gen.Int[0, 5], Gen.Bool)
            .Select((i, gone) => new Stroke(ids[i], i, Pen.Broad, [i / 10.0, 0], gone))
            .Array[0, 8];
        Gen.Select(strokes, strokes)
            .Sample(
                (one, other) =>
                {
                    var joined = Paper.Joined(one, other);
                    var back = Paper.Joined(other, one);
                    joined
                        .OrderBy(s => s.Id)
                        .Select(s => (s.Id, s.Gone))
                        .ShouldBe(back.OrderBy(s => s.Id).Select(s => (s.Id, s.Gone)));
                    joined.Select(s => s.Id).ToHashSet().SetEquals(one.Concat(other).Select(s => s.Id)).ShouldBeTrue();
                    Paper.Joined(joined, one).Count.ShouldBe(joined.Count);
                    joined.ShouldAllBe(s => s.Gone == one.Concat(other).Any(o => o.Id == s.Id && o.Gone));
                }
            );
    }
}
