using System.Collections.Concurrent;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Storage;
using Microsoft.Extensions.DependencyInjection;

namespace Web.Tests;

/// <summary>What many ask for at once is carried out together, and each gets their own answer.</summary>
[Collection("application")]
public sealed class TogetherTests(Harness harness)
{
    [Fact]
    public async Task Everybody_gets_their_own_answer_and_what_comes_meanwhile_waits_for_the_next_turn()
    {
        var turns = new ConcurrentQueue<int[]>();
        var open = new TaskCompletionSource();
        var doubled = new Together<int, int>(1, 64, async asks =>
        {
            turns.Enqueue([.. asks]);
            await open.Task;
            return [.. asks.Select(a => 2 * a)];
        });
        var first = doubled.Do(1);
        var others = Enumerable.Range(2, 100).Select(doubled.Do).ToList();
        turns.ShouldHaveSingleItem().ShouldBe([1], "nobody who asks later is answered by what was looked up before");
        open.SetResult();
        (await first).ShouldBe(2);
        (await Task.WhenAll(others)).ShouldBe(Enumerable.Range(2, 100).Select(a => 2 * a));
        turns.Count.ShouldBe(3, "one alone, sixty-four, and the rest");
    }

    [Fact]
    public async Task One_that_fails_costs_nobody_else_theirs()
    {
        var halved = new Together<int, int>(2, 64, async asks =>
        {
            await Task.Yield();
            return [.. asks.Select(a => a % 7 == 0 ? throw new InvalidOperationException($"{a}") : a)];
        });
        var asked = Enumerable
            .Range(1, 200)
            .Select(async a =>
            {
                try
                {
                    return await halved.Do(a);
                }
                catch (InvalidOperationException e)
                {
                    return -int.Parse(e.Message);
                }
            });
        (await Task.WhenAll(asked)).ShouldBe(Enumerable.Range(1, 200).Select(a => a % 7 == 0 ? -a : a));
    }

    [Fact]
    public async Task Sessions_looked_up_at_once_are_each_their_owners()
    {
        var sessions = harness.Services.GetRequiredService<SessionStore>();
        var adults = harness.Services.GetRequiredService<AdultStore>();
        Adult ana = (await adults.Find("ana"))!,
            ben = (await adults.Find("ben"))!;
        var now = DateTimeOffset.UtcNow;
        var mine = Enumerable
            .Range(0, 40)
            .Select(i => (Id: Guid.NewGuid(), Owner: i % 2 == 0 ? ana : ben, Ended: i % 5 == 0))
            .ToList();
        foreach (var s in mine)
        {
            await sessions.Begin(s.Id, s.Owner.Id.Value, reader: false, "a device", now);
            if (s.Ended)
                await sessions.End(s.Id, s.Owner.Id.Value, now);
        }
        var found = await Task.WhenAll(
            mine.Select(s => sessions.Find(s.Id, s.Owner.Id.Value, reader: false, now.AddHours(-1)))
        );
        found.Select(f => f?.Lead).ShouldBe(mine.Select(s => s.Ended ? (bool?)null : s.Owner == ana));
        found.ShouldAllBe(f => f == null || f.Post == Post.Teacher);
        (
            await Task.WhenAll(
                mine.Select(s =>
                    sessions.Find(s.Id, s.Owner == ana ? ben.Id.Value : ana.Id.Value, reader: false, now.AddHours(-1))
                )
            )
        ).ShouldAllBe(f => f == null, "a session is its owner's alone");
        (
            await Task.WhenAll(mine.Select(s => sessions.Find(s.Id, s.Owner.Id.Value, reader: true, now.AddHours(-1))))
        ).ShouldAllBe(f => f == null);
        (
            await Task.WhenAll(mine.Select(s => sessions.Find(s.Id, s.Owner.Id.Value, reader: false, now.AddHours(1))))
        ).ShouldAllBe(f => f == null, "idle too long");
    }
}
