namespace DeepCurrent.Data.Assignments;

/// <summary>What is said of a task in lists, named once for all that ask.</summary>
internal static class TaskSql
{
    /// <summary>The title of its text, or its own; the task is y, its text t, where it has one.</summary>
    public const string Title = "coalesce(t.title, y.content ->> 'title')";

    /// <summary>How the reader of ticket k does task y: their own way, where they have one.</summary>
    public const string Attempts = "coalesce((y.own -> k.reader_id::text ->> 'attempts')::int, y.attempts)",
        OnTheWay = "coalesce((y.own -> k.reader_id::text ->> 'onTheWay')::boolean, y.on_the_way)",
        Aloud = "coalesce((y.own -> k.reader_id::text ->> 'aloud')::boolean, y.aloud)",
        AtOnce = "(y.own -> k.reader_id::text ->> 'atOnce')::int",
        By = "y.own -> k.reader_id::text ->> 'by'",
        Own = "(y.own -> k.reader_id::text)::text";
}
