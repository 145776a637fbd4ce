using DeepCurrent.Core.Questions;
using DeepCurrent.Core.WordLists;

namespace DeepCurrent.Core.Assignments;

/// <summary>What a task without a text is about. It is kept as it was when it was given.</summary>
/// <param name="Title">What readers see in their lists.</param>
/// <param name="Prompt">Of a written answer.</param>
/// <param name="Url">Where a link leads.</param>
/// <param name="Words">To practise.</param>
/// <param name="AtOnce">Words that are practised at once, 2 to <see cref="WordListRules.AtOnce"/>.</param>
/// <param name="List">The list the words came from; it may have changed since, or be gone.</param>
/// <param name="By">By what the words are asked.</param>
/// <param name="Together">Several readers may hand in one written answer.</param>
/// <param name="Rubric">What a written answer is marked by; null for the usual marks.</param>
public sealed record TaskContent(
    string Title,
    string Prompt = "",
    string Url = "",
    IReadOnlyList<ListedWord>? Words = null,
    int AtOnce = WordListRules.AtOnce,
    WordListId? List = null,
    WordPractice By = WordPractice.Meaning,
    bool Together = false,
    Rubric? Rubric = null
)
{
    public const int LongestTitle = 120,
        LongestPrompt = 2000,
        LongestUrl = 1000,
        FewestAtOnce = 2;

    /// <summary>The same without blanks at the ends.</summary>
    public TaskContent Tidy() => this with { Title = Title.Trim(), Prompt = Prompt.Trim(), Url = Url.Trim() };

    /// <summary>What is wrong with it, by field.</summary>
    public IEnumerable<(string Field, Message Sentence)> Faults(TaskKind kind)
    {
        if (Title.Length is 0 or > LongestTitle)
            yield return ("title", $"Enter a title of {LongestTitle} letters or fewer.");
        if (kind is TaskKind.Written && Prompt.Length == 0)
            yield return ("prompt", $"Enter what readers should write about.");
        if (Prompt.Length > LongestPrompt)
            yield return ("prompt", $"Use {LongestPrompt} letters or fewer.");
        if (kind is TaskKind.Link && !Leads(Url))
            yield return ("url", $"Enter a link that begins with https:// or http://.");
        if (kind is TaskKind.Words && Words is not { Count: >= 2 and <= WordListRules.MostWords })
            yield return ("words", $"Choose at least two words.");
        if (AtOnce is < FewestAtOnce or > WordListRules.AtOnce)
            yield return ("atOnce", $"Choose {FewestAtOnce} to {WordListRules.AtOnce} words.");
        if (Rubric?.Fault is { } fault)
            yield return ("rubric", fault);
    }

    /// <summary>Whether something is the address of a page: whoever follows it leaves for the web and nothing else, and
    /// brings no name or password.</summary>
    public static bool Leads(string url) =>
        url.Length <= LongestUrl
        && Uri.TryCreate(url, UriKind.Absolute, out var to)
        && (to.Scheme == Uri.UriSchemeHttps || to.Scheme == Uri.UriSchemeHttp)
        && to.Host.Length > 0
        && to.UserInfo.Length == 0;
}
