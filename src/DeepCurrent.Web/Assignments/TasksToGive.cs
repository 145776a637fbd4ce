using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.WordLists;
using DeepCurrent.Data.WordLists;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Assignments;

/// <summary>A task without a text.</summary>
/// <param name="Id">Of the assignment, made by the page: the same request again is the same assignment.</param>
/// <param name="Prompt">What readers write about.</param>
/// <param name="WordListId">The list whose words are practised.</param>
/// <param name="Words">Places of the chosen ones in it, from 0; all of them if it is not said.</param>
/// <param name="AtOnce">Words that are practised at once.</param>
/// <param name="By">By what they are asked.</param>
/// <param name="Together">Several readers may hand in one written answer.</param>
/// <param name="Rubric">What a written answer is marked by; null for the usual marks.</param>
public sealed record TaskToGive(
    AssignmentId Id,
    TaskKind Kind,
    string Title,
    string? Prompt = null,
    string? Url = null,
    WordListId? WordListId = null,
    IReadOnlyList<int>? Words = null,
    int? AtOnce = null,
    WordPractice By = WordPractice.Meaning,
    bool? Together = null,
    Rubric? Rubric = null
);

/// <summary>What tasks without a text are about, as it is kept when they are given.</summary>
public sealed class TasksToGive(Desk desk, WordListStore lists)
{
    private const int Most = 20;

    public async Task<IReadOnlyList<TaskContent>> Contents(IReadOnlyList<TaskToGive> tasks)
    {
        if (tasks.Count > Most || tasks.Any(k => k is null) || tasks.DistinctBy(k => k.Id).Count() < tasks.Count)
            throw Refused.Field("tasks", $"Choose 1 to {Most} tasks.");
        var contents = new List<TaskContent>();
        foreach (var task in tasks)
        {
            if (task.Kind.OfText())
                throw Refused.Field("kind", $"Choose a text for this.");
            if (task.Kind is TaskKind.LevelCheck)
                throw Refused.Field("kind", $"A level check is given by itself, under Level checks.");
            var content = (await Content(task)).Tidy();
            new Faults().Of(content.Faults(task.Kind)).Refuse();
            contents.Add(content);
        }
        return contents;
    }

    /// <summary>What of it belongs to its kind.</summary>
    private async Task<TaskContent> Content(TaskToGive task)
    {
        var content = new TaskContent(task.Title ?? "", AtOnce: task.AtOnce ?? WordListRules.AtOnce, By: task.By);
        return task.Kind switch
        {
            TaskKind.Words => content with { Words = await WordsOf(task), List = task.WordListId },
            TaskKind.Link => content with { Url = task.Url ?? "" },
            TaskKind.Written => content with
            {
                Prompt = task.Prompt ?? "",
                Together = task.Together is true,
                Rubric = task.Rubric,
            },
            _ => content,
        };
    }

    private async Task<IReadOnlyList<ListedWord>> WordsOf(TaskToGive task)
    {
        if (task.WordListId is not { } id)
            throw Refused.Field("wordListId", $"Choose a word list.");
        // A list that the asker does not see is as unknown as one that does not exist.
        var all = (await lists.Find(id, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound()).Words;
        if (task.Words is not { } places)
            return all;
        return places.Any(p => p < 0 || p >= all.Count)
            ? throw Refused.Field("words", $"This word list has changed. Choose its words again.")
            : [.. places.Distinct().Order().Select(p => all[p])];
    }
}
