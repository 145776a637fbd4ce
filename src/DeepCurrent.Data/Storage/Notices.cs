using Dapper;
using Npgsql;

namespace DeepCurrent.Data.Storage;

/// <summary>Tells pages that readers have worked in a class. It is told after the work is kept and not as part of
/// keeping it: a notice inside each transaction makes commits wait for one another.</summary>
/// <remarks>What a teacher does is rare, and is told in its own transaction.</remarks>
public sealed class Notices
{
    /// <summary>The channel that pages of classes are told on; the payload is the class.</summary>
    public const string Channel = "ticket";

    private readonly Gathered<ClassId> classes;

    public Notices(NpgsqlDataSource db) => classes = new(TimeSpan.FromSeconds(0.5), async (ids, _) =>
        {
            await using var c = await db.OpenConnectionAsync(CancellationToken.None);
            await c.ExecuteAsync(
                $"select pg_notify('{Channel}', id::text) from unnest(@ids) id",
                new { ids = ids.ToArray() }
            );
        });

    public void Changed(ClassId classId) => classes.Add(classId);

    public Task Run(CancellationToken stop) => classes.Run(stop);
}
