# frozen_string_literal: true

module Demo
  # Made-up prose about a made-up town, its tide mills and its harbour: the same words at every run.
  class Prose
    SUBJECTS = ["the mill at Ravelmouth", "the wheel pit", "the lower sluice", "the harbour book",
      "the keeper of the Ravel sands", "the eastern quay", "the oldest lining", "the clerk of the salt office",
      "the parish survey", "the millwright’s account", "the tide pool", "the second wheel", "the landward wall",
      "the plank register", "the ferry stage", "the causeway", "the winter inventory",
      "the charter of the upper town", "the sill of the gate", "the channel north of the bar", "the shipwright’s yard",
      "the repair of the third decade", "the culvert", "the drawing kept by the harbour authority"].freeze
    VERBS = ["was rebuilt", "had been repaired", "was measured again", "fell out of use", "was entered twice",
      "served both mills", "was raised by a hand’s breadth", "is described in few words",
      "was lost to the spring tides",
      "was paid for in timber", "had to be drawn in three tides", "stood dry for a season",
      "was taken down and numbered", "is the only one that can be dated", "was let to two brothers",
      "carried the weight of the new floor"].freeze
    WHEN = ["in the year of the great frost", "before the salt pans closed", "within two winters",
      "after the breach of the outer bank", "under the third lease", "when the dues were doubled",
      "in the last decade of the lease",
      "during the long dispute over the channel", "at the turn of the season", "by the time of the second survey",
      "long after the clerks had stopped counting", "while the wheel was still on its old shaft"].freeze
    MORE = ["which the accounts confirm", "as the marks on the timber show", "although no drawing survives",
      "and the sum agrees with the register", "so that the water could be held for an hour longer",
      "a habit that later millers kept",
      "which would explain the width of the pit", "and nothing suggests that it was ever finished",
      "as far as the damaged pages can be read", "while the ferry was moved to the western stage",
      "for which the warden answered with his own purse",
      "a practice found nowhere else on the estuary"].freeze
    OPENERS = ["Seen from the quay,", "In most years", "According to the register,", "At low water", "On this reading,",
      "Taken together,", "By contrast,", "For the same reason", "In the southern chamber", "Here again"].freeze
    FULL = ["This is more than a matter of bookkeeping.", "The evidence is thin, but it points one way.",
      "No later hand corrected the entry.", "Two explanations have been offered.",
      "The difference is small and it matters.",
      "None of this was written down at the time.", "The planks tell a plainer story.",
      "It is worth following the timber rather than the money.", "The wardens seem to have known this.",
      "What remains is a question of tides."].freeze
    WORKS = ["Salt and Timber", "The Harbour Book", "On Tides and Their Uses", "A Survey of the Ravel Sands",
      "Wheels below Water"].freeze
    NOUNS = %w[Timber Tides Leases Wheels Sluices Accounts Planks Repairs Dues Channels Surveys Wardens Drawings Stones
      Seasons].freeze
    HEADS = ["Reading the %s", "%s and their keepers", "What the %s show", "%s in the third lease", "The dating of %s",
      "%s after the breach", "Counting the %s", "Lost and found %s", "%s between two surveys", "A note on %s"].freeze

    def initialize(seed)
      @dice = Random.new(seed)
    end

    def pick(list)
      list[@dice.rand(list.size)]
    end

    def chance?(share)
      @dice.rand < share
    end

    def number(range)
      @dice.rand(range)
    end

    def sentence
      return pick(FULL) if chance?(0.12)
      core = "#{pick(SUBJECTS)} #{pick(VERBS)}"
      core = "#{core} #{pick(WHEN)}" if chance?(0.7)
      core = "#{core}, #{pick(MORE)}" if chance?(0.55)
      core = chance?(0.2) ? "#{pick(OPENERS)} #{core}" : core[0].upcase + core[1..]
      "#{core}."
    end

    def paragraph(sentences = 3..7)
      Array.new(number(sentences)) { sentence }.join(" ")
    end

    # Long enough to be set as a block.
    def quotation
      text = "Paid to the two brothers for the drawing of the great wheel out of the pit, for the caulking of the " \
        "sluice in three tides, and for ale, the weather being such that no man would stand at the windlass without it"
      "#{text}, #{pick(MORE)}. #{sentence} #{sentence}"
    end

    def heading
      format(pick(HEADS), pick(NOUNS).downcase).then { |text| text[0].upcase + text[1..] }
    end
  end
end
