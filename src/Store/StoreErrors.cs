namespace FaithfulBracket.Store;

/// <summary>The record changed since it was read.</summary>
public sealed class LostRaceException(string message) : Exception(message);

/// <summary>A key was sent before with other content.</summary>
public sealed class KeyTakenException(string message) : Exception(message);

/// <summary>The id stands already with other content.</summary>
public sealed class IdTakenException(string message) : Exception(message);

/// <summary>There is no such record.</summary>
public sealed class NotHereException(string message) : Exception(message);
