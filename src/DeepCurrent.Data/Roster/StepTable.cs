using DeepCurrent.Core.Roster;
using Npgsql;
using NpgsqlTypes;

namespace DeepCurrent.Data.Roster;

/// <summary>How steps on one kind of thing are written: in bulk by COPY, so that a district's roster goes in as fast as
/// one reader.</summary>
/// <param name="Table">The table.</param>
/// <param name="Columns">Its columns and their types, id first.</param>
/// <param name="Values">A thing's values in that order.</param>
/// <param name="Read">Makes the thing again from a row of those columns.</param>
/// <param name="Fixed">Columns that are given to new rows only, with a value each.</param>
internal sealed record StepTable<T>(
    string Table,
    IReadOnlyList<(string Name, NpgsqlDbType Type)> Columns,
    Func<T, object?[]> Values,
    Func<NpgsqlDataReader, T> Read,
    IReadOnlyList<(string Name, NpgsqlDbType Type, Func<T, object?> Value)> Fixed
)
    where T : class, IRosterThing
{
    private const int Chunk = 10_000;

    private string Names => string.Join(", ", Columns.Select(c => c.Name));

    /// <summary>Things a change would write over or take away that are not as it found them, with what they are
    /// now.</summary>
    public async Task<IReadOnlyList<T>> Moved(NpgsqlConnection c, IReadOnlyList<Step<T>> steps)
    {
        var expected = steps.Where(s => s.Before is not null).ToDictionary(s => s.Thing.Key, s => s.Before!);
        var moved = new List<T>();
        foreach (var ids in expected.Keys.Chunk(Chunk))
        {
            var left = ids.ToHashSet();
            await using var q = new NpgsqlCommand(
                $"""
                select {string.Join(
                    ", ",
                    Columns.Select(x => x.Type == NpgsqlDbType.Jsonb ? $"{x.Name}::text" : x.Name)
                )}
                from {Table}
                where id = any($1)
                """,
                c
            )
            {
                Parameters = { new() { Value = ids } },
            };
            await using var r = await q.ExecuteReaderAsync();
            while (await r.ReadAsync())
            {
                var now = Read(r);
                left.Remove(now.Key);
                if (!now.Equals(expected[now.Key]))
                    moved.Add(now);
            }
            moved.AddRange(left.Select(id => expected[id]));
        }
        return moved;
    }

    public async Task Remove(NpgsqlConnection c, IReadOnlyList<Step<T>> steps)
    {
        foreach (var ids in steps.Where(s => s.After is null).Select(s => s.Thing.Key).Chunk(Chunk))
        {
            await using var q = new NpgsqlCommand($"delete from {Table} where id = any($1)", c)
            {
                Parameters = { new() { Value = ids } },
            };
            await q.ExecuteNonQueryAsync();
        }
    }

    public async Task Put(NpgsqlConnection c, IReadOnlyList<Step<T>> steps)
    {
        var added = steps.Where(s => s is { Before: null, After: not null }).Select(s => s.After!).ToList();
        if (added.Count > 0)
            await Copy(
                c,
                $"""
                copy {Table} ({string.Join(", ", Columns.Select(x => x.Name).Concat(Fixed.Select(f => f.Name)))})
                from stdin (format binary)
                """,
                added,
                (t, w) => Write(w, t, withFixed: true)
            );
        var changed = steps.Where(s => s is { Before: not null, After: not null }).Select(s => s.After!).ToList();
        if (changed.Count == 0)
            return;
        var temporary = $"step_{Table}";
        await Run(
            c,
            $"""
            create temp table if not exists {temporary} on commit drop as
            select {Names}
            from {Table}
            limit 0; truncate {temporary}
            """
        );
        await Copy(c, $"copy {temporary} ({Names}) from stdin (format binary)", changed, (t, w) =>
            Write(w, t, withFixed: false)
        );
        await Run(
            c,
            $"""
            update {Table} t
            set {string.Join(", ", Columns.Skip(1).Select(x => $"{x.Name} = s.{x.Name}"))}
            from {temporary} s
            where t.id = s.id
            """
        );
    }

    private async Task Write(NpgsqlBinaryImporter w, T thing, bool withFixed)
    {
        await w.StartRowAsync();
        var values = Values(thing);
        for (var i = 0; i < Columns.Count; i++)
            await One(w, values[i], Columns[i].Type);
        if (withFixed)
            foreach (var (_, type, value) in Fixed)
                await One(w, value(thing), type);
    }

    private static Task One(NpgsqlBinaryImporter w, object? value, NpgsqlDbType type) =>
        value switch
        {
            null => w.WriteNullAsync(),
            IId id => w.WriteAsync(id.Value, type),
            IUnit quantity => w.WriteAsync(quantity.Value, type),
            _ => w.WriteAsync(value, type),
        };

    internal static async Task Copy<TRow>(
        NpgsqlConnection c,
        string sql,
        IEnumerable<TRow> rows,
        Func<TRow, NpgsqlBinaryImporter, Task> write
    )
    {
        await using var w = await c.BeginBinaryImportAsync(sql);
        foreach (var row in rows)
            await write(row, w);
        await w.CompleteAsync();
    }

    private static async Task Run(NpgsqlConnection c, string sql)
    {
        await using var q = new NpgsqlCommand(sql, c);
        await q.ExecuteNonQueryAsync();
    }
}
