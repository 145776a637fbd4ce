using DeepCurrent.Core.Access;
using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.AssignmentResults;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.AssignmentResults;

/// <summary>What an assignment came to, and what next.</summary>
public static class ResultEndpoints
{
    public static void Map(RouteGroupBuilder api) => api.MapGet("/assignments/{assignmentId:guid}/results", Of);

    private static async Task<ResultsView> Of(
        AssignmentId assignmentId,
        Desk desk,
        AssignmentStore assignments,
        GivenStore earlier,
        ResultStore results,
        TextStore texts,
        CorrectionStore corrections,
        TypedResultStore typed,
        StepTexts suggested
    )
    {
        var (assignment, _) = await desk.Assignment(assignments, assignmentId, Deed.SeeClass);
        var work = await results.Of(assignment.TaskId, assignment.ClassId);
        var quizWas = await Asked(assignment, assignments, texts);
        var stands = assignment.TextId is { } text ? await corrections.Of(assignment.ClassId, text) : [];
        var asked = QuestionCorrection.Apply(quizWas, [.. stands.Select(s => s.Correction)]);
        var readers = await Readers(assignment, work, asked, texts);
        var quiz = new QuizResults([.. asked.Where(q => !q.OnTheWay)], readers);
        var onTheWay = new QuizResults([.. asked.Where(q => q.OnTheWay)], readers);
        var elsewhere = await typed.Of(assignmentId, assignment.ClassId);
        var usual = await earlier.Strands(assignment.ClassId, desk.Now - Mastery.Span);
        return new(
            assignment,
            Figures(work, quiz),
            [.. quiz.ByQuestion.Select(ResultQuestionView.Of)],
            [.. onTheWay.ByQuestion.Select(ResultQuestionView.Of)],
            Rows(quiz, onTheWay),
            [.. work.Tickets.Select(k => ResultReaderView.Of(k, elsewhere.GetValueOrDefault(k.Id)))],
            [
                .. usual
                    .GroupBy(s => s.Strand)
                    .OrderBy(g => g.Key)
                    .Select(g => new UsualView(g.Key, g.Sum(s => s.Right), g.Sum(s => s.Asked))),
            ],
            await suggested.For(assignment, WhatNext.After(quiz)),
            [.. quizWas.Select(q => CorrectionView.Of(q, stands)).OfType<CorrectionView>()],
            await Words(assignment, assignments, results),
            TypedResult.For(assignment.Kind, quiz.Questions.Count > 0)
        );
    }

    private static async Task<IReadOnlyList<WordResult>> Words(
        AssignmentRow assignment,
        AssignmentStore assignments,
        ResultStore results
    )
    {
        if (assignment.Kind is not TaskKind.Words)
            return [];
        var task = (await assignments.Tasks([assignment.Id]))[assignment.Id];
        return WordResult.Of(task.Content?.Words ?? [], await results.Practised(assignment.TaskId, assignment.ClassId));
    }

    /// <summary>The questions an assignment asks, those on the way too.</summary>
    internal static async Task<IReadOnlyList<Question>> Asked(
        AssignmentRow assignment,
        AssignmentStore assignments,
        TextStore texts
    )
    {
        if (assignment.TextId is not { } text)
            return [];
        var task = (await assignments.Tasks([assignment.Id]))[assignment.Id];
        var questions = await texts.Questions(text);
        return
        [
            .. questions.Where(q =>
                task.Kind.Asks(q.OnTheWay, assignment.OnTheWay, task.Questions?.Contains(q.Id) ?? true)
            ),
        ];
    }

    private static async Task<IReadOnlyList<ResultReader>> Readers(
        AssignmentRow assignment,
        AssignmentWork work,
        IReadOnlyList<Question> asked,
        TextStore texts
    )
    {
        var picks = asked.Where(q => q.Rules.PicksSentences).Select(q => q.Id).ToHashSet();
        var sentences = new Dictionary<VersionId, IReadOnlyList<string>>();
        if (picks.Count > 0)
            foreach (var version in work.Tickets.Select(k => k.VersionId).OfType<VersionId>().Distinct())
                sentences[version] = await texts.Sentences(version);
        IReadOnlyList<string> Of(ResultTicket k) => k.VersionId is { } v ? sentences.GetValueOrDefault(v) ?? [] : [];
        ResultTry Said(ResultTry t, IReadOnlyList<string> from) =>
            picks.Contains(t.QuestionId) && t.Picks.Count > 0 && t.Picks[0] < from.Count
                ? t with
                {
                    Words = from[t.Picks[0]],
                }
                : t;
        return
        [
            .. work.Tickets.Select(k => new ResultReader
            {
                TicketId = k.Id,
                ReaderId = k.ReaderId,
                HandedIn = k.HandedInAt is not null && k.State is not TicketState.Closed,
                Read = k.Full || assignment.Kind is not TaskKind.Text,
                Closed = k.Closed,
                Depth = k.BeforeMean,
                DepthSd = k.BeforeSd ?? 0,
                Version = k.Depth,
                Sentences = Of(k).Count,
                Tries = [.. work.Tries[k.Id].Select(t => Said(t, Of(k)))],
            }),
        ];
    }

    private static IReadOnlyList<ResultRowView> Rows(QuizResults quiz, QuizResults onTheWay)
    {
        var ways = onTheWay.Rows.ToDictionary(r => r.Reader.TicketId);
        return [.. quiz.Rows.Select(r => ResultRowView.Of(r, ways.GetValueOrDefault(r.Reader.TicketId)))];
    }

    private static ResultFigures Figures(AssignmentWork work, QuizResults quiz)
    {
        var times = work.Tickets.Where(k => k.Full).Select(k => k.ActiveSeconds).Order().ToList();
        return new(
            work.Tickets.Count,
            quiz.Rows.Count,
            quiz.Counted.Count,
            quiz.FirstTry,
            quiz.Forecast,
            times.Count == 0 ? null : new(times[0], Middle(times), times[^1]),
            quiz.Figures.Reliability,
            quiz.Figures.Kr20,
            quiz.Figures.StandardError
        );
    }

    private static double Middle(List<double> sorted) =>
        (sorted[(sorted.Count - 1) / 2] + sorted[sorted.Count / 2]) / 2;
}
