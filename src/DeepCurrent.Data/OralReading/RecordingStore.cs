using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.OralReading;

/// <summary>A recording that waits for a person.</summary>
public sealed record RecordingRow(
    RecordId Id,
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    string Title,
    DateTimeOffset ReadAt,
    double Seconds,
    ListeningState? Listening
);

/// <summary>A recording a reader has made of a text.</summary>
/// <param name="Marked">It cannot be made again.</param>
public sealed record MyRecording(RecordId Id, double Seconds, bool Marked);

/// <summary>A recording that the listening device is to hear.</summary>
public sealed record ToHear(RecordId Id, string Body, byte[] Sound, string Type, double Seconds);

/// <summary>What readers have read aloud and recorded, and what a listening device hears of it.</summary>
public sealed class RecordingStore(NpgsqlDataSource db)
{
    /// <summary>Keeps a recording, and asks for it to be listened to where there is a device. A later one takes the
    /// place of an earlier one until the record is done.</summary>
    /// <returns>False if the record is done.</returns>
    public async Task<bool> KeepSound(RecordId id, ReaderId readerId, Sound sound, double seconds, bool listen)
    {
        return await db.Run(
                $"""
                update running_record
                set sound = @Bytes, sound_type = @Type, sound_seconds = @seconds, heard = null,
                  listening = case when @listen then '{nameof(ListeningState.Waiting)}' end, listen_note = null
                where id = @id and reader_id = @readerId and not done and gone_at is null
                """,
                new
                {
                    id,
                    readerId,
                    sound.Bytes,
                    sound.Type,
                    seconds,
                    listen,
                }
            ) > 0;
    }

    public async Task<Sound?> SoundOf(RecordId id, ReaderId readerId)
    {
        return await db.One<Sound>(
            """
            select sound_type as type, sound as bytes
            from running_record
            where id = @id and reader_id = @readerId and sound is not null
            """,
            new { id, readerId }
        );
    }

    /// <summary>The recording a reader made for a ticket, if any.</summary>
    public async Task<MyRecording?> OfTicket(TicketId ticketId, ReaderId readerId)
    {
        return await db.First<MyRecording>(
            """
            select id, sound_seconds as seconds, done as marked
            from running_record
            where ticket_id = @ticketId and reader_id = @readerId and sound_type is not null and gone_at is null
            order by made_at desc
            limit 1
            """,
            new { ticketId, readerId }
        );
    }

    /// <summary>Recordings of a class that nobody has marked yet, oldest first.</summary>
    public async Task<IReadOnlyList<RecordingRow>> ToMark(ClassId classId)
    {
        return await db.All<RecordingRow>(
            """
            select k.id, k.reader_id, r.given_name, r.family_name, k.title, k.read_at, k.sound_seconds as seconds,
              k.listening
            from enrolment e join running_record k on k.reader_id = e.reader_id join reader r on r.id = k.reader_id
            where e.class_id = @classId
              and e.to_day is null
              and not k.done
              and k.gone_at is null
              and k.sound_type is not null
            order by k.read_at limit 300
            """,
            new { classId }
        );
    }

    /// <summary>Asks for a recording to be listened to again.</summary>
    public async Task<bool> ListenAgain(RecordId id, ReaderId readerId)
    {
        return await db.Run(
                $"""
                update running_record
                set listening = '{nameof(ListeningState.Waiting)}', heard = null, listen_note = null
                where id = @id
                  and reader_id = @readerId
                  and sound is not null
                  and (listening is null or listening in ({ListeningStates.Over}))
                """,
                new { id, readerId }
            ) > 0;
    }

    /// <summary>Takes the next recording to listen to; one whose listener has vanished is taken again after a
    /// while.</summary>
    public async Task<ToHear?> Take(DateTimeOffset now)
    {
        return await db.One<ToHear>(
            $"""
            update running_record set listening = '{nameof(ListeningState.Listening)}', listen_from = @now
            where id = (
              select id
              from running_record
              where listening = '{nameof(ListeningState.Waiting)}'
                or (
                  listening = '{nameof(ListeningState.Listening)}'
                    and listen_from < @now - interval '5 minutes')
              order by made_at
              limit 1
              for update skip locked)
            returning id, body, sound, sound_type as type, sound_seconds as seconds
            """,
            new { now }
        );
    }

    /// <summary>Keeps what was heard, or why nothing was.</summary>
    public async Task Heard(RecordId id, IReadOnlyList<HeardWord>? heard, Message? note)
    {
        await db.Run(
            $"""
            with k as (
              update running_record
              set heard = @words::jsonb, listen_note = @note::jsonb,
                listening =
                  case
                    when @words::jsonb is null then '{nameof(ListeningState.Failed)}'
                    else '{nameof(ListeningState.Heard)}'
                  end
              where id = @id and listening = '{nameof(ListeningState.Listening)}'
              returning reader_id)
            select pg_notify('ticket', e.class_id::text)
            from k join enrolment e on e.reader_id = k.reader_id
            where e.to_day is null
            """,
            new
            {
                id,
                words = heard is null ? null : Database.ToJson(heard),
                note,
            }
        );
    }
}
