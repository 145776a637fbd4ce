namespace DeepCurrent.Data.Assignments;

/// <summary>What is said of a task in lists, named once for all that ask.</summary>
internal static class TaskSql
{
    /// <summary>The title of its text, or its own; the task is y, its text t, where it has one.</summary>
    public const string Title = "coalesce(t.title, y.content ->> 'title')";
}
