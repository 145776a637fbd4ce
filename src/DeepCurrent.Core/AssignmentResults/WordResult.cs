using DeepCurrent.Core.Tickets;
using DeepCurrent.Core.WordLists;

namespace DeepCurrent.Core.AssignmentResults;

/// <summary>What one reader practised of a word list.</summary>
public sealed record PractisedBy(ReaderId ReaderId, IReadOnlyList<PractisedWord> Words);

/// <summary>How one word of a list went.</summary>
/// <param name="AtOnce">Readers who knew it at the first try.</param>
/// <param name="Later">Readers who knew it after another try.</param>
/// <param name="NotYet">Readers who tried it and have not known it.</param>
/// <param name="MissedBy">Those who did not know it at the first try.</param>
/// <param name="Often">So many missed it that it is worth practising again.</param>
public sealed record WordResult(
    ListedWord Word,
    int AtOnce,
    int Later,
    int NotYet,
    IReadOnlyList<ReaderId> MissedBy,
    bool Often
)
{
    private const int Few = 2;
    private const double Third = 1 / 3.0;

    /// <summary>Words of a list, most missed first.</summary>
    /// <param name="practised">By reader; words that are none of the list's count nothing.</param>
    public static IReadOnlyList<WordResult> Of(
        IReadOnlyList<ListedWord> words,
        IReadOnlyCollection<PractisedBy> practised
    ) =>
        [
            .. words
                .Select((w, at) => Of(w, [.. Tried(at, practised)]))
                .OrderByDescending(r => r.MissedBy.Count)
                .ThenByDescending(r => r.NotYet),
        ];

    private static IEnumerable<(ReaderId Reader, PractisedWord Word)> Tried(
        int at,
        IEnumerable<PractisedBy> practised
    ) => from reader in practised from word in reader.Words where word.Word == at select (reader.ReaderId, word);

    private static WordResult Of(ListedWord word, IReadOnlyList<(ReaderId Reader, PractisedWord Word)> tried)
    {
        var missed = tried.Where(x => !x.Word.Known || x.Word.Tries > 1).Select(x => x.Reader).ToList();
        return new(
            word,
            tried.Count - missed.Count,
            tried.Count(x => x.Word is { Known: true, Tries: > 1 }),
            tried.Count(x => !x.Word.Known),
            missed,
            missed.Count >= Few && missed.Count >= Third * tried.Count
        );
    }
}
