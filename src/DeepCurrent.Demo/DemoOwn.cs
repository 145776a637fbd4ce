using DeepCurrent.Core.KeptWords;
using DeepCurrent.Core.Ratings;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Texts;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.KeptWords;
using DeepCurrent.Data.Notes;
using DeepCurrent.Data.Ratings;
using DeepCurrent.Data.Readings;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;

namespace DeepCurrent.Demo;

/// <summary>What some readers of the demo have of their own: notes, one of them answered, words to practise, a book on
/// paper.</summary>
internal sealed class DemoOwn(
    TicketStore tickets,
    TextStore texts,
    NoteStore notes,
    KeptWordStore words,
    OwnReadingStore readings,
    RatingStore ratings
)
{
    private const int Texts = 3;
    private const int WordsOfText = 3;
    private const int ReadersWithNotes = 6;

    private static readonly string[] Asked =
    [
        "Why did they wait so long?",
        "I would have told somebody.",
        "This is like my gran's house.",
        "What does it mean?",
        "I did not see that coming.",
        "Is this true?",
    ];

    private static readonly (string Title, string Author, int Pages)[] Books =
    [
        ("The Otter at Low Water", "Hedda Vane", 34),
        ("Nine Knots and One Key", "R. Okafor", 61),
        ("My First Radio", "", 18),
    ];

    private static readonly string[] Said =
    [
        "The end is not what you think.",
        "Short, and funny on page two.",
        "Read it if you like the sea.",
        "Hard words, but they are all explained.",
        "Ask me about the last page.",
    ];

    private static readonly Liking[] Likings =
    [
        Liking.Good,
        Liking.Favourite,
        Liking.Good,
        Liking.AllRight,
        Liking.Good,
        Liking.NotForMe,
        Liking.Good,
        Liking.Favourite,
        Liking.AllRight,
    ];

    private const int Rated = 6,
        Recommended = 7,
        LeftToApprove = 2;

    /// <summary>What readers think of what they read; some of it is said to the class, and some of that waits to be
    /// looked at.</summary>
    public async Task Rate(DemoClass room, DateTimeOffset now)
    {
        foreach (var (reader, i) in room.People.Select((p, i) => (p, i)))
        {
            var read = (await tickets.Mine(reader.Id))
                .Where(k => k.TextId is not null && TicketLife.Done(k.State) && k.HandedInAt is not null)
                .Take(Rated)
                .ToList();
            foreach (var (ticket, n) in read.Select((k, n) => (k, n)))
            {
                var text = ticket.TextId!.Value;
                var at = ticket.HandedInAt!.Value.AddMinutes(1);
                var said = n == 0 && i < Recommended ? Said[i % Said.Length] : "";
                await ratings.Put(reader.Id, text, Likings[(i * 2 + n) % Likings.Length], said, at);
                if (said.Length > 0 && i >= LeftToApprove)
                    await ratings.Approve(
                        room.Id,
                        room.Year.Clock.DayOf(now),
                        (reader.Id, text),
                        shown: true,
                        room.Teacher.Id,
                        at.AddHours(3)
                    );
            }
        }
    }

    public async Task Give(DemoClass room, DateTimeOffset now)
    {
        // The reader whose pictures are printed is among them.
        var some = room.People.Where((p, i) => i < ReadersWithNotes || p.Name == DemoWorld.KnownReader).ToList();
        foreach (var (reader, i) in some.Select((p, i) => (p, i)))
        {
            var read = (await tickets.Mine(reader.Id))
                .Where(k => k.TextId is not null && TicketLife.Done(k.State) && k.HandedInAt is not null)
                .Take(Texts)
                .ToList();
            foreach (var (ticket, n) in read.Select((k, n) => (k, n)))
                await InText(reader.Id, ticket, room.Teacher, n == 0 ? Asked[i % Asked.Length] : "");
            var (title, author, pages) = Books[i % Books.Length];
            var day = room.Year.Clock.DayOf(now).AddDays(-2 - i);
            await readings.Put(
                reader.Id,
                new(OwnReadingId.New(), title, author, day, 15 + 5 * i, pages, i % 2 == 0, "", null, null),
                now.AddDays(-2 - i),
                removed: false
            );
        }
    }

    private async Task InText(ReaderId reader, MyTicket ticket, Adult teacher, string asked)
    {
        var at = ticket.HandedInAt!.Value.AddMinutes(-3);
        var open = await tickets.Find(ticket.Id, reader);
        var pages = (await texts.Body(open!.VersionId)).Pages;
        var page = Math.Min(1, pages.Count - 1);
        var sentence = Sentences.Of(Paragraphs.Said(pages[page].First(p => !p.StartsWith('#'))))[0].Trim();
        var id = NoteId.New();
        await notes.Put(reader, ticket.Id, id, (page, sentence, asked, at, false));
        if (asked.Length > 0)
            await notes.Answer(id, "Good question. Read that page once more and tell me.", teacher.Id, at.AddHours(5));
        foreach (var (word, n) in (await texts.Words(ticket.TextId!.Value)).Take(WordsOfText).Select((w, n) => (w, n)))
        {
            await words.Keep(reader, ticket.Id, word.Text, at.AddMinutes(n));
            if (n > 0)
                await words.Try(reader, word.Text, [new WordTry(at.AddDays(1), n == 2)]);
        }
    }
}
