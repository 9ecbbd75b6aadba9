# frozen_string_literal: true

# The documents in use, kept in memory as long as they are current. Losing it loses time and nothing else.
module Desk
  SPACE = 6 # documents
  # earlier: the checks of the state before, from which those of this one are made
  Live = Struct.new(:version, :document, :original, :checks, :earlier)

  @live = {}
  @locks = Hash.new { |locks, id| locks[id] = Monitor.new }
  @guard = Mutex.new

  module_function

  def document(manuscript)
    live(manuscript).document
  end

  def original(manuscript)
    live(manuscript).original
  end

  # The document held against its guide; one check a state, since its findings are asked for many times.
  def check(manuscript)
    state = live(manuscript)
    state.checks[manuscript.guide] ||= Norvel::Guide::Check.new(manuscript.rules, state.document, before: state.earlier[manuscript.guide])
  end

  def put(manuscript, document)
    @guard.synchronize do
      was = @live.fetch(manuscript.id)
      @live[manuscript.id] = Live.new(manuscript.lock_version, document, was.original, {}, was.earlier.merge(was.checks))
    end
  end

  def forget(manuscript)
    @guard.synchronize { @live.delete(manuscript.id) }
  end

  # One change at a time to one document.
  def alone(manuscript, &)
    @guard.synchronize { @locks[manuscript.id] }.synchronize(&)
  end

  def live(manuscript)
    known = @guard.synchronize { @live[manuscript.id] }
    return touch(manuscript.id, known) if known && known.version == manuscript.lock_version
    alone(manuscript) { load(manuscript, known&.original) }
  end

  def touch(id, state)
    @guard.synchronize { @live[id] = @live.delete(id) || state }
    state
  end

  def load(manuscript, original)
    original ||= Norvel::Formats.read(manuscript.original.bytes, name: manuscript.filename)
    document = manuscript.head ? Norvel::Snapshot.load(manuscript.head, original) : original
    state = Live.new(manuscript.lock_version, document, original, {}, {})
    @guard.synchronize do
      @live[manuscript.id] = state
      @live.shift while @live.size > SPACE
    end
    state
  end
  private_class_method :touch, :load
end
