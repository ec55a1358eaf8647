namespace FaithfulBracket.Store;

/// <summary>The record changed since it was read.</summary>
public sealed class ConcurrencyException(string message) : Exception(message);

/// <summary>A key was sent before with other content.</summary>
/// <param name="kept">What it was first used for, JSON; null where that is not known.</param>
/// <param name="sent">What it was used for now, JSON.</param>
public sealed class KeyTakenException(string message, string? kept, string sent) : Exception(message)
{
    public string? Kept { get; } = kept;
    public string Sent { get; } = sent;
}

/// <summary>The id stands already with other content.</summary>
public sealed class IdTakenException(string message) : Exception(message);

/// <summary>Something rests on the document: it is not deleted.</summary>
public sealed class DocumentInUseException(string message) : Exception(message);

/// <summary>The job is finished: it changes by corrections alone.</summary>
public sealed class JobFinishedException(string message) : Exception(message);

/// <summary>The job is open: there is nothing to correct yet.</summary>
public sealed class JobOpenException(string message) : Exception(message);

/// <summary>The step is signed: nothing more begins on it.</summary>
public sealed class StepSignedException(string message) : Exception(message);

/// <summary>There is no such record.</summary>
public sealed class NotFoundException(string message) : Exception(message);
