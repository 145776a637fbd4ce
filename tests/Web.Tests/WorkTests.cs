using DeepCurrent.Web.Hosting;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging.Abstractions;
using Npgsql;

namespace Web.Tests;

/// <summary>Work in the background: by one instance at a time, woken when there is some, more slowly when it
/// fails.</summary>
[Collection("application")]
public sealed class WorkTests(Harness harness)
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(30);

    private sealed class Work(Func<CancellationToken, Task<bool>> round) : IWork
    {
        public string Name { get; init; } = $"work {Guid.NewGuid()}";

        public TimeSpan Every => TimeSpan.FromHours(1);

        public bool Alone { get; init; } = true;

        public string? WokenBy { get; init; }

        public Task<bool> Do(CancellationToken stop) => round(stop);
    }

    private WorkRunner<Work> Runner(Work work) =>
        new(
            work,
            harness.Services.GetRequiredService<NpgsqlDataSource>(),
            TimeProvider.System,
            NullLogger<Work>.Instance
        );

    [Fact]
    public async Task One_instance_at_a_time_does_it_and_the_next_may_when_it_is_through()
    {
        var name = $"work {Guid.NewGuid()}";
        TaskCompletionSource inside = new(),
            through = new();
        var here = Runner(
            new(async _ =>
            {
                inside.SetResult();
                await through.Task;
                return false;
            })
            {
                Name = name,
            }
        );
        var there = Runner(new(_ => Task.FromResult(true)) { Name = name });

        var first = here.Once(default);
        await inside.Task.WaitAsync(Patience);
        (await there.Once(default)).ShouldBe(Round.Elsewhere);
        through.SetResult();
        (await first).ShouldBe(Round.Done);
        (await there.Once(default)).ShouldBe(Round.More);
    }

    [Fact]
    public async Task A_round_that_fails_lets_the_work_go_and_the_next_is_done()
    {
        var rounds = 0;
        var runner = Runner(
            new(_ => ++rounds == 1 ? throw new InvalidOperationException("no") : Task.FromResult(false))
        );
        (await runner.Once(default)).ShouldBe(Round.Failed);
        (await runner.Once(default)).ShouldBe(Round.Done);
    }

    [Fact]
    public async Task What_is_said_on_its_channel_wakes_it_long_before_its_time()
    {
        using var done = new SemaphoreSlim(0);
        using var runner = Runner(
            new(_ =>
            {
                done.Release();
                return Task.FromResult(false);
            })
            {
                Alone = false,
                WokenBy = "work_test",
            }
        );
        await runner.StartAsync(default);
        (await done.WaitAsync(Patience)).ShouldBeTrue("it begins at once");

        await harness.Ask<object>("select pg_notify('work_test', '')");

        (await done.WaitAsync(Patience)).ShouldBeTrue("it was woken");
        await runner.StopAsync(default);
    }

    [Theory]
    [InlineData(Round.Done, 0, 3600, 3600)]
    [InlineData(Round.Elsewhere, 0, 3600, 3600)]
    [InlineData(Round.More, 0, 3600, 0.2)]
    [InlineData(Round.Failed, 1, 3600, 2)]
    [InlineData(Round.Failed, 4, 3600, 16)]
    [InlineData(Round.Failed, 60, 3600, 600)]
    [InlineData(Round.Failed, 60, 20, 20)]
    [InlineData(Round.Failed, 9, 1.5, 2)]
    public void It_comes_round_by_how_the_last_round_went(Round round, int failures, double every, double seconds) =>
        WorkPace.After(round, failures, TimeSpan.FromSeconds(every)).TotalSeconds.ShouldBe(seconds, 1e-9);
}
