# frozen_string_literal: true

# The documents in use, kept in memory as long as they are current. Losing it loses time and nothing else.
module Desk
  SPACE = 12 # documents
  # earlier: the checks of the state before, from which those of this one are made
  Live = Struct.new(:version, :document, :original, :checks, :earlier)
  LIVE = Norvel::Recent.new(SPACE)
  LOCKS = Array.new(64) { Monitor.new }.freeze
  CHECKING = Array.new(64) { Monitor.new }.freeze

  module_function

  def document(manuscript)
    live(manuscript).document
  end

  def original(manuscript)
    live(manuscript).original
  end

  # The document held against its guide; one check a state, since its findings are asked for many times. Requests that
  # come together wait for one that makes it.
  def check(manuscript)
    state = live(manuscript)
    state.checks[manuscript.guide] || CHECKING[manuscript.id % CHECKING.size].synchronize do
      state.checks[manuscript.guide] ||= judge(manuscript, state)
    end
  end

  # The manuscript has become this.
  def put(manuscript, document)
    was = LIVE.fetch(manuscript.id)
    earlier = was ? was.earlier.merge(was.checks) : {}
    LIVE.put(manuscript.id, Live.new(manuscript.lock_version, document, was&.original || read(manuscript), {}, earlier))
  end

  def forget(manuscript)
    LIVE.delete(manuscript.id)
  end

  # One change at a time to one document.
  def alone(manuscript, &)
    LOCKS[manuscript.id % LOCKS.size].synchronize(&)
  end

  # Several requests for a document that is not here yet wait for one that loads it.
  def live(manuscript)
    current(manuscript) || alone(manuscript) { current(manuscript) || load(manuscript) }
  end

  def current(manuscript)
    known = LIVE.fetch(manuscript.id)
    known if known&.version == manuscript.lock_version
  end

  def load(manuscript)
    original = LIVE.fetch(manuscript.id)&.original || read(manuscript)
    document = manuscript.head ? Norvel::Snapshot.load(manuscript.head, original) : original
    LIVE.put(manuscript.id, Live.new(manuscript.lock_version, document, original, {}, {}))
  rescue => error
    raise Manuscript::Unopened.new(error), cause: error
  end

  def read(manuscript)
    Norvel::Formats.read(manuscript.original.bytes, name: manuscript.filename)
  end

  def judge(manuscript, state)
    Norvel::Guide::Check.attempt(manuscript.rules, state.document, before: state.earlier[manuscript.guide])
  end
  private_class_method :current, :load, :read, :judge
end
