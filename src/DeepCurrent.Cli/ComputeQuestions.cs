using System.Text.Json;
using System.Text.Json.Nodes;
using DeepCurrent.Core.AssignmentResults;

namespace DeepCurrent.Cli;

/// <summary>compute questions: first attempts of readers at the questions of a quiz in, the figures of each question and
/// of the quiz out.</summary>
public static class ComputeQuestions
{
    private const int MostReaders = 100_000,
        MostQuestions = 1000,
        MostChoices = 1000;

    public static JsonObject Run(TextReader input)
    {
        var document = Field.Of(input);
        var answers = Table(document, "answers", most: 1)
            .Select(row =>
                row.Select(v =>
                        v == 1 ? true
                        : v == 0 ? false
                        : (bool?)null
                    )
                    .ToList()
            )
            .ToList();
        var figures = QuizFigures.Of(answers);
        var common = Common(document, answers);
        return new()
        {
            ["questions"] = new JsonArray([
                .. figures.Questions.Select(
                    (q, i) =>
                        new JsonObject
                        {
                            ["proportion"] = q.Proportion,
                            ["pointBiserial"] = q.PointBiserial,
                            ["commonWrong"] = common?[i],
                        }
                ),
            ]),
            ["mean"] = figures.Mean,
            ["sd"] = figures.Sd,
            ["kr20"] = figures.Kr20,
            ["standardError"] = figures.StandardError,
        };
    }

    /// <summary>The wrong choice taken most, question by question; null where choices were not given.</summary>
    private static IReadOnlyList<int?>? Common(Field document, IReadOnlyList<IReadOnlyList<bool?>> answers)
    {
        if (!document.Has("choices"))
            return null;
        var choices = Table(document, "choices", MostChoices);
        var questions = answers.Count == 0 ? 0 : answers[0].Count;
        if (choices.Count != answers.Count)
            throw new BadInput("This should have a row for every reader.", "choices");
        if (choices.Any(row => row.Count != questions))
            throw new BadInput("This should have the shape of the answers.", "choices");
        var keys = document.Has("keys") ? Row(new(document.Value, ""), "keys", MostChoices) : null;
        if (keys is not null && keys.Count != questions)
            throw new BadInput("This should have a key for every question.", "keys");
        return
        [
            .. Enumerable
                .Range(0, questions)
                .Select(q =>
                    QuizFigures.CommonWrong(
                        Enumerable
                            .Range(0, answers.Count)
                            .Where(r => keys is not null || answers[r][q] is false)
                            .Select(r => choices[r][q])
                            .OfType<int>(),
                        taken => keys is not null && taken == keys[q]
                    )
                ),
        ];
    }

    private static IReadOnlyList<IReadOnlyList<int?>> Table(Field document, string name, int most)
    {
        var rows = document.List(name).ToList();
        if (rows.Count > MostReaders)
            throw new BadInput($"At most {MostReaders} readers are reckoned with.", name);
        var table = rows.Select(row => Cells(row, most)).ToList();
        for (var r = 1; r < table.Count; r++)
            if (table[r].Count != table[0].Count)
                throw new BadInput("This row should be as long as the first.", rows[r].Path);
        return table;
    }

    private static IReadOnlyList<int?> Row(Field document, string name, int most) =>
        [.. document.List(name).Select(f => Cell(f, most))];

    private static IReadOnlyList<int?> Cells(Field row, int most)
    {
        if (row.Value.ValueKind != JsonValueKind.Array)
            throw new BadInput("This should be a list.", row.Path);
        if (row.Value.GetArrayLength() > MostQuestions)
            throw new BadInput($"At most {MostQuestions} questions are reckoned with.", row.Path);
        return [.. row.Value.EnumerateArray().Select((v, i) => Cell(new(v, $"{row.Path}[{i}]"), most))];
    }

    private static int? Cell(Field cell, int most) =>
        cell.Value.ValueKind switch
        {
            JsonValueKind.Null => null,
            JsonValueKind.True when most == 1 => 1,
            JsonValueKind.False when most == 1 => 0,
            JsonValueKind.Number when cell.Value.TryGetInt32(out var whole) && whole >= 0 && whole <= most => whole,
            _ => throw new BadInput($"This should be a whole number from 0 to {most}, or null.", cell.Path),
        };
}
