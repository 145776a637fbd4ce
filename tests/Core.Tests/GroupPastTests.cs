using DeepCurrent.Core.Grouping;

namespace Core.Tests;

public sealed class GroupPastTests
{
    private static readonly DateTimeOffset Autumn = new(2026, 9, 14, 9, 0, 0, TimeSpan.Zero);
    private static readonly (GroupId Id, string Name) Kelp = (GroupId.New(), "Kelp"),
        Ferry = (GroupId.New(), "Ferry");

    private static GroupStay Stay(
        (GroupId Id, string Name) group,
        ReaderId reader,
        int from,
        int? to,
        double? change
    ) =>
        new(
            reader,
            group.Id,
            group.Name,
            Autumn.AddDays(from),
            to is { } day ? Autumn.AddDays(day) : null,
            change,
            4,
            3
        );

    [Fact]
    public void A_group_is_told_over_all_who_were_in_it_and_one_who_came_twice_is_one()
    {
        var (ana, bo, cy) = (ReaderId.New(), ReaderId.New(), ReaderId.New());
        var past = GroupPast.Of(
            [
                Stay(Ferry, ana, 0, 20, 1),
                Stay(Ferry, ana, 30, 40, 1),
                Stay(Ferry, bo, 2, 40, 4),
                Stay(Ferry, cy, 2, 40, null),
                Stay(Kelp, cy, 41, null, 2),
            ],
            new Dictionary<GroupId, int> { [Ferry.Id] = 5 }
        );
        past.Select(g => g.Group).ShouldBe(["Kelp", "Ferry"]);
        past[0].To.ShouldBeNull();
        // Of one reader no mean with a range is told.
        past[0].Change.ShouldBeNull();
        past[0].Held.ShouldBe(0);
        var ferry = past[1];
        (ferry.From, ferry.To, ferry.Readers, ferry.Held).ShouldBe((Autumn, Autumn.AddDays(40), 3, 5));
        (ferry.Change!.Mean, ferry.Change.Readers).ShouldBe((3.0, 2));
    }
}
