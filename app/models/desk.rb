# frozen_string_literal: true

# The documents in use, kept in memory as long as they are current. Losing it loses time and nothing else.
module Desk
  SPACE = 12 # documents
  # earlier: the checks of the state before, from which those of this one are made; laid_out: the last state of it whose
  # pages are known; undone: why this one's can't be, in a sentence
  Live = Struct.new(:version, :document, :original, :checks, :earlier, :laid_out, :undone)
  LIVE = Norvel::Recent.new(SPACE)
  JUDGED = Norvel::Recent.new(50) # how far the checks of documents are
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
  # Made once more when pages are known, since some rules are about them.
  def check(manuscript)
    state = live(manuscript)
    key = [manuscript.guide, manuscript.grants.map(&:id), !pages(manuscript).nil?]
    state.checks[key] || CHECKING[manuscript.id % CHECKING.size].synchronize do
      state.checks[key] ||= judge(manuscript, state).tap { |check| manuscript.stands(check) if key.last }
    end
  end

  # Is the check of this state there already?
  def checked?(manuscript)
    now = [manuscript.guide, manuscript.grants.map(&:id)]
    live(manuscript).checks.keys.any? { |*made, _| made == now }
  end

  # How far the check that is being made, or was made last, has come: from 0 to 1.
  def how_far(manuscript)
    JUDGED.fetch(manuscript.id) || 0
  end

  # The check of the state before the last change, nil where there is none.
  def check_before(manuscript)
    live(manuscript).earlier[manuscript.guide]
  end

  # Its pages (Norvel::Layout::Result) where they are worked out; else nil, and they are being worked out.
  def pages(manuscript)
    state = live(manuscript)
    Norvel::Layout.pages(state.document) || (Paging.work_out(state) unless state.undone)
  end

  # The same, waited for; nil where they take too long or can't be worked out.
  def pages_now(manuscript)
    state = live(manuscript)
    Norvel::Layout.pages(state.document) || (Paging.wait_for(state) unless state.undone)
  end

  # Why its pages can't be worked out, in a sentence; nil while they can.
  def no_pages(manuscript)
    live(manuscript).undone
  end

  # The manuscript has become this.
  def put(manuscript, document)
    was = LIVE.fetch(manuscript.id)
    earlier = was ? was.earlier.merge(was.checks.transform_keys(&:first)) : {}
    laid_out = was && (Norvel::Layout.pages(was.document) ? was.document : was.laid_out)
    original = was&.original || read(manuscript)
    LIVE.put(manuscript.id,
      Live.new(manuscript.lock_version, document.begun_as(original), original, {}, earlier, laid_out))
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
    LIVE.put(manuscript.id, Live.new(manuscript.lock_version, document.begun_as(original), original, {}, {}))
  rescue => error
    raise Manuscript::Unopened.new(error), cause: error
  end

  def read(manuscript)
    Norvel::Formats.read(manuscript.original.bytes, name: manuscript.filename)
  end

  def judge(manuscript, state)
    before = state.checks[[manuscript.guide, manuscript.grants.map(&:id), false]] || state.earlier[manuscript.guide]
    told = ->(done) { JUDGED.put(manuscript.id, done) }
    Norvel::Guide::Check.attempt(manuscript.rules, state.document, before:, told:)
  end
  private_class_method :current, :load, :read, :judge
end
